/** What a camera of the class sees of the printed code, with what was found drawn on it: move distance, turn, light and print, and look. */
import type { DeviceView, MaterialPage } from '@hapset/contract';
import {
  foretell,
  lightLevels,
  printTechniques,
  reachShareOf,
  surfaces,
  usualScene,
  type Foretold,
  type LightLevel,
  type PrintTechnique,
  type Scene,
  type Surface,
} from '@hapset/core';
import { useEffect, useRef, useState, type ReactElement } from 'react';
import { ChoiceField, SelectField } from '../../platform/design/field.js';
import { Slider } from '../../platform/design/slider.js';
import { StateMark } from '../../platform/design/state-mark.js';
import type { SeenAttempt, SeenReading } from '../reader/reader.messages.js';
import { metres } from '../../platform/wording/figures.js';
import {
  differenceSentence,
  lightWords,
  readerWords,
  surfaceWords,
  techniqueWords,
} from '../../platform/wording/rehearsal.js';
import { useAttempt } from './use-attempt.js';
import { t } from '../words.js';

export default function CameraView({
  page: { rehearsal, code },
}: {
  readonly page: MaterialPage;
}): ReactElement | null {
  const { devices, distanceM: standM, sizeMm, look } = rehearsal;
  const [deviceId, setDeviceId] = useState(devices[0]?.id ?? '');
  const [distanceM, setDistanceM] = useState(standM);
  const [tiltDeg, setTiltDeg] = useState(0);
  const [scene, setScene] = useState<Scene>(usualScene);
  const device = devices.find(({ id }) => id === deviceId) ?? devices[0] ?? null;
  const seen = useAttempt(
    device && code
      ? { payload: code.payload, level: code.level, look, sizeMm, device, distanceM, tiltDeg, scene }
      : null,
  );
  if (!device || !code) return null;
  const foretold = foretell(device, sizeMm, code.modules, scene, look ? reachShareOf(look) : 1);
  const mostM = Math.max(1, Math.ceil(Math.max(standM * 1.5, foretold.missesFromM * 1.3) * 2) / 2);
  return (
    <div className="mt-2 grid gap-x-5 gap-y-3 md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      <div>
        <SeenFrame seen={seen.attempt} />
        <Verdict seen={seen.attempt} failed={seen.failed} device={device} expected={expectedAt(distanceM, foretold)} />
      </div>
      <div className="flex flex-col gap-3">
        <SelectField
          label={t('cameraView.device')}
          value={device.id}
          onChange={(event) => setDeviceId(event.target.value)}
        >
          {devices.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </SelectField>
        <PlaceSliders
          distanceM={distanceM}
          mostM={mostM}
          tiltDeg={tiltDeg}
          onDistance={setDistanceM}
          onTilt={setTiltDeg}
        />
        <SceneFields scene={scene} onChange={setScene} />
        {seen.attempt && <Readings readings={seen.attempt.readings} own={device.engine} />}
      </div>
    </div>
  );
}

function expectedAt(distanceM: number, { readsToM, missesFromM }: Foretold): 'reads' | 'hit-and-miss' | 'misses' {
  if (distanceM <= readsToM) return 'reads';
  return distanceM >= missesFromM ? 'misses' : 'hit-and-miss';
}

function PlaceSliders({
  distanceM,
  mostM,
  tiltDeg,
  onDistance,
  onTilt,
}: {
  readonly distanceM: number;
  readonly mostM: number;
  readonly tiltDeg: number;
  readonly onDistance: (distanceM: number) => void;
  readonly onTilt: (tiltDeg: number) => void;
}): ReactElement {
  return (
    <>
      <Slider
        label={t('cameraView.distance')}
        words={metres(distanceM)}
        value={distanceM}
        min={0.2}
        max={mostM}
        step={0.05}
        onChange={onDistance}
      />
      <Slider
        label={t('cameraView.paperAngle')}
        words={`${tiltDeg}°`}
        value={tiltDeg}
        min={0}
        max={60}
        step={1}
        onChange={onTilt}
      />
    </>
  );
}

function SceneFields({
  scene,
  onChange,
}: {
  readonly scene: Scene;
  readonly onChange: (scene: Scene) => void;
}): ReactElement {
  return (
    <div className="grid grid-cols-3 gap-3">
      <ChoiceField
        choices={lightLevels}
        words={lightWords}
        label={t('cameraView.light')}
        value={scene.light}
        onChange={(event) => onChange({ ...scene, light: event.target.value as LightLevel })}
      />
      <ChoiceField
        choices={printTechniques}
        words={techniqueWords}
        label={t('cameraView.print')}
        value={scene.technique}
        onChange={(event) => onChange({ ...scene, technique: event.target.value as PrintTechnique })}
      />
      <ChoiceField
        choices={surfaces}
        words={surfaceWords}
        label={t('cameraView.surface')}
        value={scene.surface}
        onChange={(event) => onChange({ ...scene, surface: event.target.value as Surface })}
      />
    </div>
  );
}

/** The frame as it is, each pixel visible, the found symbol outlined. */
function SeenFrame({ seen }: { readonly seen: SeenAttempt | null }): ReactElement {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!seen || !context) return;
    const { widthPx, heightPx, grey } = seen.frame;
    context.canvas.width = widthPx;
    context.canvas.height = heightPx;
    const image = context.createImageData(widthPx, heightPx);
    const words = new Uint32Array(image.data.buffer);
    for (let at = 0; at < grey.length; at += 1) words[at] = ((grey[at] ?? 0) * 0x010101) | 0xff000000;
    context.putImageData(image, 0, 0);
  }, [seen]);
  const found = seen?.readings.find(({ reading }) => reading?.corners)?.reading?.corners ?? null;
  return (
    <div className="relative flex aspect-square items-center justify-center overflow-hidden rounded-small bg-band">
      <canvas
        ref={canvas}
        role="img"
        aria-label={
          seen
            ? t('cameraView.theCodeAsTheCamera', { widthPx: seen.frame.widthPx })
            : t('cameraView.computingTheCodeAsThe')
        }
        className="size-full object-contain [image-rendering:pixelated]"
      />
      {seen && found && (
        <svg
          viewBox={`0 0 ${seen.frame.widthPx} ${seen.frame.heightPx}`}
          className="pointer-events-none absolute inset-0 size-full"
          aria-hidden
        >
          <polygon
            points={found.map(({ x, y }) => `${x},${y}`).join(' ')}
            className="fill-marker/15 stroke-marker"
            strokeWidth={seen.frame.widthPx / 90}
          />
        </svg>
      )}
    </div>
  );
}

const expectedWords = {
  reads: t('cameraView.expectedToRead'),
  misses: t('cameraView.notExpectedToRead'),
  'hit-and-miss': t('cameraView.expectedToReadSometimes'),
} as const;

function Verdict({
  seen,
  failed,
  device,
  expected,
}: {
  readonly seen: SeenAttempt | null;
  readonly failed: boolean;
  readonly device: DeviceView;
  readonly expected: keyof typeof expectedWords;
}): ReactElement {
  if (failed) return <p className="mt-2 mb-0 text-row text-stop">{t('cameraView.thePictureCouldNotBe')}</p>;
  const mark = !seen ? 'not-yet' : seen.read === 0 ? 'stop' : seen.read < seen.of / 2 ? 'look-at' : 'done';
  return (
    <p role="status" className="mt-2 mb-0 flex items-center gap-2 text-row">
      <StateMark mark={mark} words={seen && seen.read > 0 ? t('cameraView.reads') : t('cameraView.doesNotRead')} />
      <span>
        {seen
          ? t('cameraView.readItInOfFrames', {
              name: device.name,
              read: seen.read,
              of: seen.of,
              expected: expectedWords[expected],
            })
          : t('cameraView.isTryingFromThere', { name: device.name, expected: expectedWords[expected] })}
      </span>
    </p>
  );
}

/** All engines on the same frame; the device's own decides. */
function Readings({
  readings,
  own,
}: {
  readonly readings: readonly SeenReading[];
  readonly own: string;
}): ReactElement {
  return (
    <ul aria-label={t('cameraView.resultOfEachReaderFor')} className="m-0 flex list-none flex-col gap-1 p-0 text-small">
      {readings.map(({ engine, reading, difference }) => (
        <li key={engine} className="flex items-baseline gap-2">
          <span className="w-40 shrink-0 text-muted">
            {engine === own ? t('cameraView.decides', { reader: readerWords[engine] }) : readerWords[engine]}
          </span>
          <span className="min-w-0 wrap-anywhere">
            {reading === null
              ? t('cameraView.readsNothing')
              : difference
                ? t('cameraView.reads2', { difference: differenceSentence(difference) })
                : t('cameraView.readsItExactly')}
          </span>
        </li>
      ))}
    </ul>
  );
}
