import { UnitsSwitch } from '../shell/UnitsSwitch';

/** What it is, and the units everything is shown in. */
export function DesignsHeader() {
  return (
    <header className="flex h-12 shrink-0 items-center gap-3 border-b border-graphite bg-sheet px-3">
      <img src="/icon.svg" alt="" className="size-6" />
      <p className="font-semibold">Inclinar</p>
      <p className="text-read text-faint small:hidden">the art of small angles</p>
      <div className="ml-auto">
        <UnitsSwitch />
      </div>
    </header>
  );
}
