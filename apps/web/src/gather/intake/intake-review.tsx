import { useVirtualizer } from '@tanstack/react-virtual';
import { useRef, type ReactElement } from 'react';
import { useDevicesOf } from '../../school/school-class/use-devices-of.js';
import { ReviewRow, type ReviewRowProps } from './intake-review-row.js';
import type { IntakeRowState } from './new-materials.js';
import { t } from '../words.js';

interface Props extends Omit<ReviewRowProps, 'row' | 'index' | 'devices' | 'isOneOfMany'> {
  readonly rows: readonly IntakeRowState[];
  /** Of the class whose devices are to read it; null for all of the school's. */
  readonly classId: string | null;
}

/** Up to here every row is drawn; beyond, only those in sight are. */
const drawnAtOnce = 60;
/** Height of a row without corrections, pixels; real ones are measured. */
const usualHeightPx = 66;

/** What was understood, item by item: kind, corrections, questions, duplicates. */
export function IntakeReview({ classId, ...rest }: Props): ReactElement {
  const props = { ...rest, devices: useDevicesOf(classId), isOneOfMany: rest.rows.length > 1 };
  return props.rows.length > drawnAtOnce ? <LongReview {...props} /> : <ShortReview {...props} />;
}

type ReviewProps = Omit<ReviewRowProps, 'row' | 'index'> & Pick<Props, 'rows'>;

function ShortReview({ rows, ...rest }: ReviewProps): ReactElement {
  return (
    <ul aria-label={t('intakeReview.whatWillBeAdded')} className="m-0 list-none border-t border-line p-0">
      {rows.map((row, index) => (
        <li key={index} className="border-b border-line last:border-b-0">
          <ReviewRow row={row} index={index} {...rest} />
        </li>
      ))}
    </ul>
  );
}

function LongReview({ rows, ...rest }: ReviewProps): ReactElement {
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => usualHeightPx,
    overscan: 3,
    useFlushSync: false,
  });
  return (
    <div
      ref={scroller}
      tabIndex={0}
      aria-label={t('intakeReview.whatWillBeAddedScrolls')}
      role="region"
      className="h-[56vh] overflow-y-auto border-t border-line [contain:strict]"
    >
      <ul
        aria-label={t('intakeReview.whatWillBeAdded')}
        className="relative m-0 list-none p-0"
        style={{ height: virtual.getTotalSize() }}
      >
        {virtual.getVirtualItems().map(({ index, start }) => {
          const row = rows[index];
          return (
            <li
              key={index}
              ref={virtual.measureElement}
              data-index={index}
              aria-setsize={rows.length}
              aria-posinset={index + 1}
              className="absolute inset-x-0 border-b border-line"
              style={{ transform: `translateY(${start}px)` }}
            >
              {row && <ReviewRow row={row} index={index} {...rest} />}
            </li>
          );
        })}
      </ul>
    </div>
  );
}
