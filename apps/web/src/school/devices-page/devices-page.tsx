import { useQuery } from '@tanstack/react-query';
import type { DeviceView } from '@hapset/contract';
import { mediaFormats, scannerActs } from '@hapset/core';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { useSession } from '../account/session.queries.js';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { PageHead } from '../../platform/design/page-head.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { engineWords } from '../../platform/wording/rehearsal.js';
import { classesQuery } from '../school-class/school-class.queries.js';
import { mediaFormatWords } from '../../platform/wording/media.js';
import { actWords } from '../../platform/wording/scanners.js';
import { namesListed } from '../../platform/wording/figures.js';
import { DeviceDialog } from '../device/device-dialog.js';
import { devicesQuery, useChangeDevice, useRemoveDevice } from '../device/device.queries.js';
import { CheckBox } from '../../platform/design/inputs.js';
import { Alert } from '../../platform/design/alert.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { T } from '../elements.js';
import { t } from '../words.js';

/** What students scan with; the administrator says what each scanner acts on. */
export function DevicesPage(): ReactElement {
  const devices = useQuery(devicesQuery);
  const mayChange = useSession()?.role === 'administrator';
  const [editing, setEditing] = useState<DeviceView | 'new' | null>(null);
  const [removing, setRemoving] = useState<DeviceView | null>(null);
  return (
    <>
      <PageHead
        title={t('devicesPage.devices')}
        about={t('devicesPage.whatStudentsScanWithEvery')}
        actions={mayChange && <Button onClick={() => setEditing('new')}>{t('devicesPage.addADevice')}</Button>}
      />
      {devices.isPending && <Loading label={t('devicesPage.devicesAreLoading')} />}
      {hasFailed(devices) && <Failed words={wordsFor(devices.error)} onRetry={() => void devices.refetch()} />}
      {devices.data?.length === 0 && (
        <Empty title={t('devicesPage.noDevicesYet')}>{t('devicesPage.onlyTheSchoolsAdministratorCan')}</Empty>
      )}
      {devices.data && devices.data.length > 0 && (
        <ul
          aria-label={t('devicesPage.devices')}
          className="m-0 list-none overflow-hidden rounded-sheet border border-line bg-sheet p-0"
        >
          {devices.data.map((device) => (
            <DeviceRow
              key={device.id}
              device={device}
              actions={mayChange ? { change: () => setEditing(device), remove: () => setRemoving(device) } : null}
            />
          ))}
        </ul>
      )}
      <p className="mt-3 mb-0 text-body">
        <T
          k="devicesPage.devicesWithoutAScannerCan"
          values={{ host: window.location.host }}
          components={[<Link key="2" to="/read" className="font-semibold text-ink" />]}
        />
      </p>
      {editing !== null && (
        <DeviceDialog device={editing === 'new' ? null : editing} onClose={() => setEditing(null)} />
      )}
      {removing && <RemoveDevice device={removing} onClose={() => setRemoving(null)} />}
    </>
  );
}

interface RowActions {
  readonly change: () => void;
  readonly remove: () => void;
}

function DeviceRow({
  device,
  actions,
}: {
  readonly device: DeviceView;
  readonly actions: RowActions | null;
}): ReactElement {
  const { name, count } = device;
  return (
    <li className="grid gap-x-6 gap-y-1 border-b border-line px-4 py-3.5 last:border-b-0 sm:grid-cols-[220px_1fr_auto] sm:px-5">
      <span>
        <span className="block text-lead font-semibold">{name}</span>
        <span className="block text-small text-muted">
          {count === null ? t('devicesPage.studentsOwn') : t('devicesPage.inTheSchool', { number: count })}
        </span>
      </span>
      <div className="text-row">
        <DeviceFigures device={device} />
        {actions && <AbilitiesForm device={device} />}
      </div>
      {actions && (
        <span className="flex items-start gap-1">
          <Button aria-label={t('devicesPage.change2', { name })} onClick={actions.change}>
            {t('devicesPage.change')}
          </Button>
          <Button tone="quiet" aria-label={t('devicesPage.remove2', { name })} onClick={actions.remove}>
            {t('devicesPage.remove')}
          </Button>
        </span>
      )}
    </li>
  );
}

function DeviceFigures({ device }: { readonly device: DeviceView }): ReactElement {
  const { previewWidthPx, previewHeightPx, horizontalFovDeg, nearestFocusM } = device;
  const { engine, blurPx, noiseGrey, jpegQuality, actsOn, plays } = device;
  return (
    <>
      {t('devicesPage.previewFieldOfViewIn', {
        previewWidthPx,
        previewHeightPx,
        horizontalFovDeg,
        nearestCm: Math.round(nearestFocusM * 100),
      })}
      <span className="block text-small text-muted">
        {jpegQuality === null
          ? t('devicesPage.blurPxNoiseGreyLevels', { scanner: engineWords[engine], blurPx, noiseGrey })
          : t('devicesPage.blurPxNoiseGreyLevels2', {
              scanner: engineWords[engine],
              blurPx,
              noiseGrey,
              jpegQuality,
            })}
      </span>
      <span className="block text-small text-muted">
        {t('devicesPage.itsScanner', {
          acts: actsOn.length === 0 ? t('devicesPage.showsTextOnly') : actsOn.map((act) => actWords[act]).join(', '),
        })}
      </span>
      <span className="block text-small text-muted">
        {t('devicesPage.plays', {
          formats:
            plays.length === 0
              ? t('devicesPage.noAudioOrVideo')
              : plays.map((format) => mediaFormatWords[format]).join(', '),
        })}
      </span>
    </>
  );
}

/** It can't be taken back by itself, so it says first what changes. */
function RemoveDevice({
  device,
  onClose,
}: {
  readonly device: DeviceView;
  readonly onClose: () => void;
}): ReactElement {
  const classes = useQuery(classesQuery).data?.filter(({ deviceIds }) => deviceIds.includes(device.id)) ?? [];
  const remove = useRemoveDevice();
  return (
    <Dialog title={t('devicesPage.remove3', { name: device.name })} onClose={onClose}>
      <p className="m-0 text-field">
        {classes.length === 0
          ? t('devicesPage.noClassUsesItCodes')
          : t('devicesPage.useItCodesAreRehearsed', {
              count: classes.length,
              classes: namesListed(classes.map(({ name }) => name)),
            })}
      </p>
      {remove.isError && <Alert words={wordsFor(remove.error)} className="mt-3 mb-0" />}
      <div className="mt-5 flex justify-end gap-2">
        <Button onClick={onClose}>{t('devicesPage.cancel')}</Button>
        <Button
          tone="main"
          disabled={remove.isPending}
          onClick={() => remove.mutate(device.id, { onSuccess: onClose })}
        >
          {t('devicesPage.removeDevice')}
        </Button>
      </div>
    </Dialog>
  );
}

/** Found out by scanning one code of each kind, and by opening files with the device; saved at once. */
function AbilitiesForm({ device: { id, name, actsOn, plays } }: { readonly device: DeviceView }): ReactElement {
  const change = useChangeDevice(id);
  const sendChange = useSendChange();
  const now = { actsOn, plays, ...(change.isPending && change.variables) };
  return (
    <details className="mt-1">
      <summary className="w-fit cursor-pointer py-1 text-small">{t('devicesPage.setWhatItsScannerOpens')}</summary>
      <Abilities
        legend={t('devicesPage.scanOneCodeOfEach')}
        of={name}
        all={scannerActs}
        words={actWords}
        ticked={now.actsOn}
        disabled={change.isPending}
        onChange={(next) => sendChange(change, { actsOn: next })}
      />
      <Abilities
        legend={t('devicesPage.openAFileOfEach')}
        of={name}
        all={mediaFormats}
        words={mediaFormatWords}
        ticked={now.plays}
        disabled={change.isPending}
        onChange={(next) => sendChange(change, { plays: next })}
      />
    </details>
  );
}

interface AbilitiesProps<Ability extends string> {
  readonly legend: string;
  readonly of: string;
  readonly all: readonly Ability[];
  readonly words: Readonly<Record<Ability, string>>;
  readonly ticked: readonly Ability[];
  readonly disabled: boolean;
  readonly onChange: (ticked: readonly Ability[]) => void;
}

function Abilities<Ability extends string>({
  legend,
  of,
  all,
  words,
  ticked,
  disabled,
  onChange,
}: AbilitiesProps<Ability>): ReactElement {
  return (
    <fieldset className="m-0 mt-1 flex flex-wrap gap-x-5 border-0 p-0" disabled={disabled}>
      <legend className="mb-1 p-0 text-small text-muted">{legend}</legend>
      {all.map((ability) => (
        <label key={ability} className="flex min-h-9 items-center gap-2">
          <CheckBox
            aria-label={`${of} ${words[ability]}`}
            checked={ticked.includes(ability)}
            onChange={() =>
              onChange(ticked.includes(ability) ? ticked.filter((each) => each !== ability) : [...ticked, ability])
            }
          />{' '}
          {words[ability]}
        </label>
      ))}
    </fieldset>
  );
}
