import type { NewMaterial } from '@hapset/contract';
import type { Said } from '@hapset/core';
import type { ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { Button } from '../../platform/design/button.js';
import { useCreateMaterials } from '../../gather/material/material.queries.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

/** Puts what the code says on the shelf. @param link where it leads in the end, where that is taken instead */
export function AdoptCode({
  text,
  said,
  link,
  words = t('adoptCode.putItOnTheShelf'),
}: {
  readonly text: string;
  readonly said: Said;
  readonly link?: string;
  readonly words?: string;
}): ReactElement {
  const create = useCreateMaterials();
  const navigate = useNavigate();
  const sendChange = useSendChange();
  const adopt = (): void =>
    sendChange(create, [materialOf(text, said, link)], {
      onSuccess: ([id = '']) => void navigate(`/shelf/${id}`),
    });
  return (
    <Button disabled={create.isPending} onClick={adopt}>
      {words}
    </Button>
  );
}

/** As it was read; what has no fields of its own here is kept letter by letter as words. */
function materialOf(text: string, said: Said, link: string | undefined): NewMaterial {
  if (link !== undefined) return { link, pasted: text, repairs: [] };
  switch (said.kind) {
    case 'link':
    case 'bare-address':
      return { link: said.link, pasted: text, repairs: [] };
    case 'other-address':
    case 'event':
    case 'words':
      return { words: text, pasted: text, repairs: [] };
    case 'contact':
    case 'place':
    case 'e-mail':
    case 'phone':
    case 'text-message':
    case 'network':
      return { content: said, pasted: text, repairs: [] };
  }
}
