import { plainLookChoice, type LookChoice, type MaterialPage } from '@hapset/contract';
import { useMemo, type ReactElement } from 'react';
import { ChooseLook } from './choose-look.js';
import { sampleOf } from './sample.js';

export default function ChooseForCode({
  page,
  disabled,
  onChoose,
}: {
  readonly page: MaterialPage;
  readonly disabled: boolean;
  readonly onChoose: (choice: LookChoice, fails: string) => void;
}): ReactElement | null {
  const sample = useMemo(() => sampleOf(page), [page]);
  return (
    sample && (
      <ChooseLook sample={sample} now={page.look.id ?? plainLookChoice} disabled={disabled} onChoose={onChoose} />
    )
  );
}
