import { routes, type MaterialPage } from '@hapset/contract';
import type { AddressCarry } from '@hapset/core';
import { useMutation } from '@tanstack/react-query';
import { call } from '../../platform/api/client.js';
import { useNotice } from '../../platform/design/notice.js';
import { useChangeMaterial } from '../../gather/material/material.queries.js';
import { useMaterialsChanged } from '../../platform/api/materials-changed.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';

export interface PrintChange {
  readonly sizeMm?: number | null;
  readonly viewingDistanceM?: number | null;
}

export interface Remedies {
  readonly print: (change: PrintChange, words: string) => void;
  readonly carry: (carry: AddressCarry, words: string) => void;
  readonly pending: boolean;
}

/**
 * What fixes a code that falls short, each with its way back. It belongs to the part and not to the button: what is offered goes
 * as soon as it is taken. Size and distance are the station's own where there is one.
 */
export function useRemedies(page: MaterialPage): Remedies {
  const { material, station, rehearsal } = page;
  const changed = useMaterialsChanged();
  const notice = useNotice();
  const sendChange = useSendChange();
  const printing = useMutation({
    mutationFn: ({
      request: { sizeMm, viewingDistanceM },
      later,
    }: {
      readonly request: PrintChange;
      readonly later: boolean;
    }): Promise<unknown> => {
      const step = later ? 1 : 0;
      return station
        ? call(routes.changeStation, {
            params: { stationId: station.stationId },
            body: {
              version: station.version + step,
              ...(sizeMm !== undefined && { sizeMm }),
              ...(viewingDistanceM !== undefined && { viewingDistanceM }),
            },
          })
        : call(routes.changeMaterial, {
            params: { materialId: material.id },
            body: { version: material.version + step, ...(sizeMm !== undefined && { sizeMm }) },
          });
    },
    onSettled: changed,
  });
  const carrying = useChangeMaterial(material.id);
  const before: PrintChange = { sizeMm: rehearsal.chosenSizeMm, viewingDistanceM: rehearsal.ownDistanceM };
  return {
    print: (request, words) =>
      sendChange(
        printing,
        { request, later: false },
        { onSuccess: () => notice({ words, undo: () => sendChange(printing, { request: before, later: true }) }) },
      ),
    carry: (carry, words) =>
      sendChange(
        carrying,
        { version: material.version, carry },
        {
          onSuccess: ({ version }) =>
            notice({ words, undo: () => sendChange(carrying, { version, carry: material.carry }) }),
        },
      ),
    pending: printing.isPending || carrying.isPending,
  };
}
