/** A card is lost: asked first, since its code stops working at once; then the new one is offered. */
import type { StudentView } from '@hapset/contract';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { Button, buttonClass } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { ago } from '../../platform/wording/figures.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';
import { useReplaceCard } from './roster.queries.js';

export function LostCardDialog({
  student: { id, name, cardMadeAt, cardLostAt },
  onClose,
}: {
  readonly student: StudentView;
  readonly onClose: () => void;
}): ReactElement {
  const replace = useReplaceCard();
  const sendChange = useSendChange();
  const isLost = cardMadeAt === null;
  return (
    <Dialog
      title={isLost ? t('lostCard.isLost', { name }) : t('lostCard.isItLost', { name })}
      about={
        isLost
          ? t('lostCard.lostSince', { ago: cardLostAt === null ? '' : ago(cardLostAt) })
          : t('lostCard.stopsWorking', { ago: ago(cardMadeAt) })
      }
      onClose={onClose}
    >
      <div className="flex justify-end gap-2">
        <Button onClick={onClose}>{isLost ? t('lostCard.close') : t('lostCard.cancel')}</Button>
        {isLost ? (
          <Link to={`/school/students/cards?student=${id}`} className={buttonClass('main')}>
            {t('lostCard.makeNewCard')}
          </Link>
        ) : (
          <Button tone="main" disabled={replace.isPending} onClick={() => sendChange(replace, id)}>
            {t('lostCard.markAsLost')}
          </Button>
        )}
      </div>
    </Dialog>
  );
}
