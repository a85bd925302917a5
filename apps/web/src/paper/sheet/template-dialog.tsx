/** A template of the school: design, colour, logo, the line at the foot, and the sizes of labels. */
import { limits, type CreateSheetTemplate, type SheetTemplateView } from '@hapset/contract';
import {
  accentReads,
  layoutsOf,
  plainAccent,
  type FaceLayoutName,
  type HeaderPicture,
  type LabelGrid,
  type SheetKind,
} from '@hapset/core';
import { useState, type ReactElement } from 'react';
import { ChooseFile } from '../../platform/design/choose-file.js';
import { Alert } from '../../platform/design/alert.js';
import { Button } from '../../platform/design/button.js';
import { Dialog, DialogEnd } from '../../platform/design/dialog.js';
import { ChoiceField, TextField } from '../../platform/design/field.js';
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
  /** How the sheet of labels is cut that is saved with a new template of labels. */
  readonly labels?: LabelGrid;
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

const newTemplate: Pick<SheetTemplateView, 'name' | 'accent' | 'header' | 'layout' | 'footer' | 'labels'> = {
  name: '',
  accent: plainAccent,
  header: null,
  layout: null,
  footer: '',
  labels: null,
};

type Template = Omit<CreateSheetTemplate, 'kind'>;

export function TemplateDialog({ kind, before, labels, onKept, onClose }: Props): ReactElement {
  const [template, setTemplate] = useState<Template>(() => firstTemplate(kind, before, labels));
  // An upload may end while somebody types.
  const set = (change: Partial<Template>): void => setTemplate((now) => ({ ...now, ...change }));
  const upload = useAddLookPicture();
  const keep = useKeepTemplate(before);
  const name = template.name.trim();
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
          keep.mutate({ ...template, name, kind, footer: template.footer.trim() }, { onSuccess: onKept });
        }}
      >
        <TextField
          label={t('templateDialog.name')}
          value={template.name}
          maxLength={limits.lookNameLength}
          onChange={(event) => set({ name: event.target.value })}
        />
        <TemplateFields kind={kind} template={template} set={set} />
        {withHeader.includes(kind) && (
          <HeaderField kind={kind} header={template.header} upload={upload} onChange={(header) => set({ header })} />
        )}
        <DialogEnd
          failure={keep.isError ? wordsFor(keep.error) : null}
          send={t('templateDialog.saveTemplate')}
          sending={keep.isPending}
          disabled={upload.isPending || name === '' || !accentReads(template.accent)}
          onCancel={onClose}
        />
      </form>
    </Dialog>
  );
}

/** A new one of labels is cut as they are cut now. */
function firstTemplate(kind: SheetKind, before: SheetTemplateView | null, labels: LabelGrid | undefined): Template {
  const { name, accent, header, layout, footer } = before ?? newTemplate;
  return { name, accent, header, layout, footer, labels: kind === 'label' ? (labels ?? before?.labels ?? null) : null };
}

/** Colour, design, sizes of labels and the line at the foot, as far as the kind has them. */
function TemplateFields({
  kind,
  template: { accent, layout, footer, labels },
  set,
}: {
  readonly kind: SheetKind;
  readonly template: Template;
  readonly set: (change: Partial<Template>) => void;
}): ReactElement {
  const layouts = layoutsOf(kind);
  return (
    <>
      <TextField
        label={t('templateDialog.colourOfTitles')}
        type="color"
        value={accent}
        className="h-9 w-20 rounded-small border border-line-strong bg-sheet p-1"
        problem={accentReads(accent) ? undefined : t('templateDialog.tooPaleToReadOn')}
        onChange={(event) => set({ accent: event.target.value })}
      />
      {layouts.length > 0 && (
        <ChoiceField
          label={t('templateDialog.design')}
          choices={layouts}
          words={layoutWords}
          value={layout ?? layouts[0]}
          onChange={(event) => set({ layout: event.target.value as FaceLayoutName })}
        />
      )}
      {labels !== null && (
        <p className="m-0 text-small text-muted">
          {t('templateDialog.savesLabelSizes', {
            count: labels.columns * labels.rows,
            widthMm: labels.widthMm,
            heightMm: labels.heightMm,
          })}
        </p>
      )}
      {withFooter.includes(kind) && (
        <TextField
          label={t('templateDialog.lineAtTheFoot')}
          value={footer}
          maxLength={limits.sheetFooterLength}
          placeholder={t('templateDialog.schoolsName')}
          onChange={(event) => set({ footer: event.target.value })}
        />
      )}
    </>
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
        <ChosenHeader header={header} hasHeight={kind === 'student-card'} onChange={onChange} />
      )}
      {upload.isPending && <p className="m-0 text-small text-muted">{t('templateDialog.uploadingThePicture')}</p>}
      {upload.isError && <Alert words={wordsFor(upload.error)} />}
    </div>
  );
}

function ChosenHeader({
  header,
  hasHeight,
  onChange,
}: {
  readonly header: HeaderPicture;
  /** In the line at the foot of sheets, it is as high as that. */
  readonly hasHeight: boolean;
  readonly onChange: (header: HeaderPicture | null) => void;
}): ReactElement {
  return (
    <div className="flex items-center gap-4">
      <img
        src={`/api/look-pictures/${header.pictureId}`}
        alt={t('templateDialog.logo')}
        className="h-12 max-w-48 object-contain"
      />
      {hasHeight && (
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
      )}
      <Button onClick={() => onChange(null)}>{t('templateDialog.none')}</Button>
    </div>
  );
}
