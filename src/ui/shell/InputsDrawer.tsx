import { PanelRightClose, PanelRightOpen } from 'lucide-react';
import type { ReactNode } from 'react';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { paneShown } from '@/store/settingsSlice';
import { useScreen } from './useScreen';
import { IconButton } from './buttons';

interface InputsDrawerProps {
  readonly children: ReactNode;
  /** Stands under the inputs, where the screen has the room without scrolling. */
  readonly foot: ReactNode;
}

/** The column of inputs: a drawer that can be pushed in where the sheet wants the room, and that stays as it was left. On a phone held upright it lies under the sheet, always open. */
export function InputsDrawer({ children, foot }: InputsDrawerProps) {
  const isWhole = useScreen() === 'whole';
  const dispatch = useAppDispatch();
  const isOpen = useAppSelector((state) => state.settings.panes.inputs);
  return (
    <aside
      className={`relative flex shrink-0 flex-col border-l border-rule contain-strict will-change-transform phone:w-full phone:flex-1 phone:border-l-0 ${isOpen ? 'w-[352px] low:w-[336px]' : 'w-9'}`}
    >
      <section
        id="numbers"
        aria-label="Numbers"
        className={`min-h-0 flex-1 overflow-y-auto ${isOpen ? '' : 'hidden phone:block'}`}
        tabIndex={0}
      >
        {children}
        {!isWhole && foot}
      </section>
      <div className={`flex items-start phone:hidden ${isOpen ? 'border-t border-rule' : 'order-first'}`}>
        <div className="flex-1">{isWhole && isOpen && foot}</div>
        <IconButton
          label={isOpen ? 'Push the inputs in' : 'Pull the inputs out'}
          icon={isOpen ? <PanelRightClose size={16} /> : <PanelRightOpen size={16} />}
          aria-expanded={isOpen}
          aria-controls="numbers"
          className="m-0.5"
          onClick={() => dispatch(paneShown({ pane: 'inputs', isShown: !isOpen }))}
        />
      </div>
    </aside>
  );
}
