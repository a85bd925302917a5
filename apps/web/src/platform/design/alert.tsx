import type { ReactElement } from 'react';

/** What went wrong, said at once to whoever listens. @param className where it is */
export function Alert({
  words,
  className = 'm-0',
}: {
  readonly words: string;
  readonly className?: string;
}): ReactElement {
  return (
    <p role="alert" className={`${className} text-row font-semibold text-stop`}>
      {words}
    </p>
  );
}
