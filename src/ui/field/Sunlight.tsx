import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { sunlit } from '@/store/settingsSlice';
import { CheckField } from '../fields/CheckField';

/** Black on white and larger type, for a screen in the sun. */
export function Sunlight() {
  const dispatch = useAppDispatch();
  const isSunny = useAppSelector((state) => state.settings.isSunny);
  return (
    <div className="border-b border-rule px-3 py-2">
      <CheckField className="pointer-coarse:min-h-11" checked={isSunny} onChange={(isOn) => dispatch(sunlit(isOn))}>
        For bright sun: black on white, larger type
      </CheckField>
      {!window.isSecureContext && (
        <p className="mt-1 text-label text-faint">
          Opened over plain http: keep this page open. It logs, shows and exports, but it does not open again without
          its server, nor keep the screen on.
        </p>
      )}
    </div>
  );
}
