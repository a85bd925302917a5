import { limits, type CreateDevice, type DeviceView } from '@hapset/contract';
import {
  genericDevices,
  genericFigures,
  readerEngineNames,
  type GenericDevice,
  type ReaderEngineName,
} from '@hapset/core';
import type { ReactElement } from 'react';
import { useForm, type RegisterOptions, type UseFormReturn } from 'react-hook-form';
import { Dialog, DialogEnd } from '../../platform/design/dialog.js';
import { ChoiceField, TextField } from '../../platform/design/field.js';
import { figureHints, genericWords } from '../../platform/wording/devices.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { engineWords } from '../../platform/wording/rehearsal.js';
import { useKeepDevice } from './device.queries.js';
import { t } from '../words.js';

type Figure = keyof typeof figureHints;
type Fields = Readonly<Record<Figure, string>> & {
  readonly like: GenericDevice;
  readonly name: string;
  readonly count: string;
  readonly engine: ReaderEngineName;
};

const { previewPx, fovDeg, nearestFocusM, blurPx, noiseGrey, deviceCount } = limits.device;
const figureFields: readonly (readonly [Figure, string, number, number])[] = [
  ['previewWidthPx', t('deviceDialog.previewWidthPixels'), previewPx.least, previewPx.most],
  ['previewHeightPx', t('deviceDialog.previewHeightPixels'), previewPx.least, previewPx.most],
  ['horizontalFovDeg', t('deviceDialog.fieldOfViewDegrees'), fovDeg.least, fovDeg.most],
  ['nearestFocusM', t('deviceDialog.inFocusFromMetres'), nearestFocusM.least, nearestFocusM.most],
  ['blurPx', t('deviceDialog.blurPixels'), 0, blurPx],
  ['noiseGrey', t('deviceDialog.noiseGreyLevels'), 0, noiseGrey],
];

/** A device of the school: copied from a generic one, with its own name and number; figures under "more". */
export function DeviceDialog({
  device,
  onClose,
}: {
  readonly device: DeviceView | null;
  readonly onClose: () => void;
}): ReactElement {
  const keep = useKeepDevice(device?.id ?? null);
  const form = useForm<Fields>({
    defaultValues: device
      ? fieldsOf(device, device.name, device.count)
      : fieldsOf(genericFigures['shared-tablet'], '', null, 'shared-tablet'),
  });
  const { register, handleSubmit, setValue } = form;
  const copy = (like: GenericDevice): void => {
    const figures = fieldsOf(genericFigures[like], '', null, like);
    for (const name of [...figureFields.map(([field]) => field), 'jpegQuality', 'engine'] as const)
      setValue(name, figures[name]);
  };
  const submit = (fields: Fields): void => keep.mutate(requestOf(fields, device), { onSuccess: onClose });
  return (
    <Dialog
      title={device ? device.name : t('deviceDialog.addADevice')}
      about={t('deviceDialog.aKindOfDeviceAnd')}
      onClose={onClose}
    >
      <form className="flex flex-col gap-4" noValidate onSubmit={(event) => void handleSubmit(submit)(event)}>
        {!device && (
          <ChoiceField
            choices={genericDevices}
            words={genericWords}
            label={t('deviceDialog.similarTo')}
            {...register('like', {
              onChange: (event: { target: { value: GenericDevice } }) => copy(event.target.value),
            })}
          />
        )}
        <NameAndCount form={form} />
        <FigureFields form={form} />
        <DialogEnd
          failure={keep.isError ? wordsFor(keep.error) : null}
          send={device ? t('deviceDialog.saveDevice') : t('deviceDialog.addIt')}
          sending={keep.isPending}
          onCancel={onClose}
        />
      </form>
    </Dialog>
  );
}

interface PartProps {
  readonly form: UseFormReturn<Fields>;
}

function NameAndCount({ form: { register, formState } }: PartProps): ReactElement {
  return (
    <div className="grid gap-4 sm:grid-cols-[1fr_150px]">
      <TextField
        label={t('deviceDialog.name')}
        maxLength={limits.nameLength}
        {...register('name', { validate: (value) => value.trim() !== '' || t('deviceDialog.enterAName') })}
        problem={formState.errors.name?.message}
      />
      <TextField
        label={t('deviceDialog.howMany')}
        inputMode="numeric"
        hint={t('deviceDialog.leaveEmptyForStudentsOwn')}
        {...register('count', {
          validate: (value) =>
            value.trim() === '' || isWithin(value, 1, deviceCount, true) || t('deviceDialog.enterAWholeNumberOr'),
        })}
        problem={formState.errors.count?.message}
      />
    </div>
  );
}

/** Out of the way until somebody wants them, or one of them is wrong. */
function FigureFields({ form: { register, formState } }: PartProps): ReactElement {
  const figuresAreWrong = [...figureFields.map(([field]) => field), 'jpegQuality' as const].some(
    (field) => formState.errors[field] !== undefined,
  );
  return (
    <details className="text-row" open={figuresAreWrong || undefined}>
      <summary className="w-fit cursor-pointer py-1 font-semibold">{t('deviceDialog.detailsOfTheCamera')}</summary>
      <div className="mt-2 grid gap-4 sm:grid-cols-2">
        {figureFields.map(([field, label, least, most]) => (
          <TextField
            key={field}
            label={label}
            inputMode="decimal"
            hint={figureHints[field]}
            {...register(field, within(least, most, field.startsWith('preview')))}
            problem={formState.errors[field]?.message}
          />
        ))}
        <TextField
          label={t('deviceDialog.compressionQuality')}
          inputMode="numeric"
          hint={figureHints.jpegQuality}
          {...register('jpegQuality', {
            validate: (value) =>
              value.trim() === '' || isWithin(value, 1, 100, true) || t('deviceDialog.enterANumberFrom1'),
          })}
          problem={formState.errors.jpegQuality?.message}
        />
        <ChoiceField
          choices={readerEngineNames}
          words={engineWords}
          label={t('deviceDialog.itsScanner')}
          {...register('engine')}
        />
      </div>
    </details>
  );
}

function fieldsOf(
  figures: Omit<CreateDevice, 'name' | 'count' | 'actsOn' | 'plays'>,
  name: string,
  count: number | null,
  like: GenericDevice = 'shared-tablet',
): Fields {
  const {
    previewWidthPx,
    previewHeightPx,
    horizontalFovDeg,
    nearestFocusM: nearest,
    blurPx: blur,
    noiseGrey: noise,
    jpegQuality,
    engine,
  } = figures;
  const text = (value: number | null): string => (value === null ? '' : String(value));
  return {
    like,
    name,
    count: text(count),
    previewWidthPx: text(previewWidthPx),
    previewHeightPx: text(previewHeightPx),
    horizontalFovDeg: text(horizontalFovDeg),
    nearestFocusM: text(nearest),
    blurPx: text(blur),
    noiseGrey: text(noise),
    jpegQuality: text(jpegQuality),
    engine,
  };
}

/** What its scanner acts on is said in the list. */
function requestOf(
  { like, name, count, jpegQuality, engine, ...figures }: Fields,
  device: DeviceView | null,
): CreateDevice {
  const orNothing = (value: string): number | null => (value.trim() === '' ? null : numberIn(value));
  return {
    name: name.trim(),
    count: orNothing(count),
    previewWidthPx: numberIn(figures.previewWidthPx),
    previewHeightPx: numberIn(figures.previewHeightPx),
    horizontalFovDeg: numberIn(figures.horizontalFovDeg),
    nearestFocusM: numberIn(figures.nearestFocusM),
    blurPx: numberIn(figures.blurPx),
    noiseGrey: numberIn(figures.noiseGrey),
    jpegQuality: orNothing(jpegQuality),
    engine,
    actsOn: device ? device.actsOn : genericFigures[like].actsOn,
    plays: device ? device.plays : genericFigures[like].plays,
  };
}

/** A comma is a point to half of the world. */
function numberIn(value: string): number {
  return Number(value.trim().replace(',', '.'));
}

function isWithin(value: string, least: number, most: number, whole: boolean): boolean {
  const number = value.trim() === '' ? Number.NaN : numberIn(value);
  return number >= least && number <= most && (!whole || Number.isInteger(number));
}

function within(least: number, most: number, whole: boolean): RegisterOptions<Fields, Figure> {
  return {
    validate: (value) =>
      isWithin(value, least, most, whole) ||
      t(whole ? 'deviceDialog.enterAWholeNumberFrom' : 'deviceDialog.enterANumberFromTo', { least, most }),
  };
}
