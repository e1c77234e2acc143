'use client';
import { AlertDialog } from 'radix-ui';

/** Another tab saved this manoeuvre meanwhile. Nothing is lost: both are shown the way. */
export function ConflictDialog({
  onMine,
  onTheirs,
  onCopy,
}: {
  onMine: () => void;
  onTheirs: () => void;
  onCopy: () => void;
}) {
  const button = 'min-h-10 border border-ink px-4 font-semibold hover:border-plan hover:text-plan';
  return (
    <AlertDialog.Root open>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-paper/70" />
        <AlertDialog.Content className="fixed left-1/2 top-1/2 z-50 w-[520px] max-w-[94vw] -translate-1/2 border border-ink bg-paper p-6 text-ink">
          <AlertDialog.Title className="text-[18px] font-bold">
            Changed in another window
          </AlertDialog.Title>
          <AlertDialog.Description className="py-3">
            This manoeuvre has been saved elsewhere since it was opened here, so nothing was
            overwritten. Choose which to go on with.
          </AlertDialog.Description>
          <div className="flex flex-wrap gap-2">
            <button type="button" className={button} onClick={onTheirs}>
              Show the other one
            </button>
            <button type="button" className={button} onClick={onMine}>
              Keep this one
            </button>
            <button type="button" className={button} onClick={onCopy}>
              Keep both: this as a copy
            </button>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
