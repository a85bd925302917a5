import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { Prints } from './prints.js';

/** What was just made: saved, printed, or taken as pictures. */
export function MadeDialog({
  title,
  printId,
  onClose,
}: {
  readonly title: string;
  readonly printId: string;
  readonly onClose: () => void;
}): ReactElement {
  return (
    <Dialog title={title} about="Save them, print them, or take the pages as pictures." wide onClose={onClose}>
      <Prints latest={printId} />
      <div className="mt-5 flex items-center justify-between gap-3">
        <Link to="/sheets" className="text-row font-semibold text-ink">
          They stay under Sheets
        </Link>
        <Button tone="main" onClick={onClose}>
          Done
        </Button>
      </div>
    </Dialog>
  );
}
