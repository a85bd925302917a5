import type { ReactElement } from 'react';
import { Button } from '../design/button.js';
import { Dialog } from '../design/dialog.js';
import { Prints } from './prints.js';

/** What was just made: saved, printed, or taken as pictures. */
export function MadeDialog({ title, printId, onClose }: { readonly title: string; readonly printId: string; readonly onClose: () => void }): ReactElement {
  return (
    <Dialog title={title} about="Save them, print them, or take the pages as pictures. They stay under Sheets." wide onClose={onClose}>
      <Prints latest={printId} />
      <div className="mt-5 flex justify-end">
        <Button tone="main" onClick={onClose}>
          Done
        </Button>
      </div>
    </Dialog>
  );
}
