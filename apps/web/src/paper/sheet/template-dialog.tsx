/** A template of the school's own: its colour, and a picture across the top. */
import { limits, type SheetTemplateView } from '@hapset/contract';
import {
  accentReads,
  layoutsOf,
  plainAccent,
  type FaceLayoutName,
  type HeaderPicture,
  type SheetKind,
} from '@hapset/core';
import { useState, type ReactElement } from 'react';
import { ChooseFile } from '../../platform/design/choose-file.js';
import { Alert } from '../../platform/design/alert.js';
import { Button } from '../../platform/design/button.js';
import { Dialog, DialogEnd } from '../../platform/design/dialog.js';
import { SelectField, TextField } from '../../platform/design/field.js';
import { Slider } from '../../platform/design/slider.js';
import { useAddLookPicture } from '../../code/look/look.queries.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { layoutWords, sheetKindWords } from '../../platform/wording/sheets.js';
import { useKeepTemplate } from './sheet.queries.js';
import { t } from '../words.js';

interface Props {
  readonly kind: SheetKind;
  /** The one that is changed; null for a new one. */
  readonly before: SheetTemplateView | null;
  readonly onKept: (template: SheetTemplateView) => void;
  readonly onClose: () => void;
}

/** Of kinds that have room for one. */
const withHeader: readonly SheetKind[] = ['poster', 'table-card', 'student-card'];
/** Of kinds that have a line at the foot. */
const withFooter: readonly SheetKind[] = ['poster', 'table-card'];
const usualHeightMm: Readonly<Record<SheetKind, number>> = {
  poster: 18,
  'table-card': 8,
  'small-card': 5,
  handout: 10,
  label: 5,
  'student-card': 8,
};

const newTemplate: Pick<SheetTemplateView, 'name' | 'accent' | 'header' | 'layout' | 'footer'> = {
  name: '',
  accent: plainAccent,
  header: null,
  layout: null,
  footer: '',
};

export function TemplateDialog({ kind, before, onKept, onClose }: Props): ReactElement {
  const first = before ?? newTemplate;
  const [name, setName] = useState(first.name);
  const [accent, setAccent] = useState(first.accent);
  const [header, setHeader] = useState<HeaderPicture | null>(first.header);
  const [layout, setLayout] = useState(first.layout);
  const [footer, setFooter] = useState(first.footer);
  const upload = useAddLookPicture();
  const keep = useKeepTemplate(before);
  const readable = accentReads(accent);
  return (
    <Dialog
      title={
        before === null
          ? t('templateDialog.newTemplateFor', { kind: sheetKindWords[kind].toLowerCase() })
          : t('templateDialog.change', { name: before.name })
      }
      about={t('templateDialog.allStaffCanUseIt')}
      onClose={onClose}
    >
      <form
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          keep.mutate(
            { name: name.trim(), kind, accent, header, layout, footer: footer.trim() },
            { onSuccess: onKept },
          );
        }}
      >
        <TextField
          label={t('templateDialog.name')}
          value={name}
          maxLength={limits.lookNameLength}
          onChange={(event) => setName(event.target.value)}
        />
        <TextField
          label={t('templateDialog.colourOfTitles')}
          type="color"
          value={accent}
          className="h-9 w-20 rounded-small border border-line-strong bg-sheet p-1"
          problem={readable ? undefined : t('templateDialog.tooPaleToReadOn')}
          onChange={(event) => setAccent(event.target.value)}
        />
        {layoutsOf(kind).length > 0 && (
          <SelectField
            label={t('templateDialog.design')}
            value={layout ?? layoutsOf(kind)[0]}
            onChange={(event) => setLayout(event.target.value as FaceLayoutName)}
          >
            {layoutsOf(kind).map((one) => (
              <option key={one} value={one}>
                {layoutWords[one]}
              </option>
            ))}
          </SelectField>
        )}
        {withFooter.includes(kind) && (
          <TextField
            label={t('templateDialog.lineAtTheFoot')}
            value={footer}
            maxLength={limits.sheetFooterLength}
            placeholder={t('templateDialog.schoolsName')}
            onChange={(event) => setFooter(event.target.value)}
          />
        )}
        {withHeader.includes(kind) && <HeaderField kind={kind} header={header} upload={upload} onChange={setHeader} />}
        <DialogEnd
          failure={keep.isError ? wordsFor(keep.error) : null}
          send={t('templateDialog.saveTemplate')}
          sending={keep.isPending}
          disabled={upload.isPending || name.trim() === '' || !readable}
          onCancel={onClose}
        />
      </form>
    </Dialog>
  );
}

function HeaderField({
  kind,
  header,
  upload,
  onChange,
}: {
  readonly kind: SheetKind;
  readonly header: HeaderPicture | null;
  readonly upload: ReturnType<typeof useAddLookPicture>;
  readonly onChange: (header: HeaderPicture | null) => void;
}): ReactElement {
  const choose = (file: File): void =>
    upload.mutate(file, {
      onSuccess: ({ id, aspect }) => onChange({ pictureId: id, aspect, heightMm: usualHeightMm[kind] }),
    });
  return (
    <div>
      <p className="m-0 text-small font-semibold">{t('templateDialog.logo')}</p>
      {header === null ? (
        <ChooseFile label={t('templateDialog.chooseAPicture')} accept="image/*" onChoose={choose} />
      ) : (
        <ChosenHeader header={header} onChange={onChange} />
      )}
      {upload.isPending && <p className="m-0 text-small text-muted">{t('templateDialog.uploadingThePicture')}</p>}
      {upload.isError && <Alert words={wordsFor(upload.error)} />}
    </div>
  );
}

function ChosenHeader({
  header,
  onChange,
}: {
  readonly header: HeaderPicture;
  readonly onChange: (header: HeaderPicture | null) => void;
}): ReactElement {
  return (
    <div className="flex items-center gap-4">
      <img
        src={`/api/look-pictures/${header.pictureId}`}
        alt={t('templateDialog.logo')}
        className="h-12 max-w-48 object-contain"
      />
      <div className="min-w-0 flex-1">
        <Slider
          label={t('templateDialog.height')}
          words={t('templateDialog.mm', { heightMm: header.heightMm })}
          value={header.heightMm}
          min={limits.headerPicture.heightMm.least}
          max={limits.headerPicture.heightMm.most}
          step={1}
          onChange={(heightMm) => onChange({ ...header, heightMm })}
        />
      </div>
      <Button onClick={() => onChange(null)}>{t('templateDialog.none')}</Button>
    </div>
  );
}
