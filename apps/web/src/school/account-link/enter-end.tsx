import type { ReactElement } from 'react';
import { Alert } from '../../platform/design/alert.js';
import { Button } from '../../platform/design/button.js';
import { wordsFor } from '../../platform/wording/problems.js';

/** How the form of a one-time link ends. */
export function EnterEnd({
  failure,
  sending,
  words,
}: {
  readonly failure: Error | null;
  readonly sending: boolean;
  readonly words: string;
}): ReactElement {
  return (
    <>
      {failure && <Alert words={wordsFor(failure)} />}
      <Button type="submit" tone="main" disabled={sending} className="min-h-11">
        {words}
      </Button>
    </>
  );
}
