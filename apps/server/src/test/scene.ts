/** What most server tests begin with: two teachers, the office, an administrator, devices, a class, a lesson. */
import type {
  AddedView,
  BenchView,
  CreatedView,
  ImportedStudent,
  MaterialPage,
  NewMaterial,
  RosterComparisonView,
  RosterImportView,
  SchoolClassView,
} from '@hapset/contract';
import { commonFormats } from '@hapset/core';
import { newId } from '../platform/database/columns.js';
import { Device } from '../school/device/device.entity.js';
import { until } from './until.js';
import { TestServer, type TestServerOptions } from './test-server.js';

export const words = (text: string): NewMaterial => ({ words: text, pasted: text, repairs: [] });
export const link = (address: string): NewMaterial => ({ link: address, pasted: address, repairs: [] });

export class Scene {
  private constructor(
    readonly server: TestServer,
    readonly classId: string,
    readonly deviceIds: readonly string[],
  ) {}

  static async start(options: TestServerOptions = {}): Promise<Scene> {
    const server = await TestServer.start(options);
    await server.addAccount('Maren');
    await server.addAccount('Tobiah');
    await server.addAccount('Pell', 'administrator');
    await server.addAccount('Hesper', 'office');
    const profile = {
      previewWidthPx: 1280,
      previewHeightPx: 720,
      horizontalFovDeg: 60,
      nearestFocusM: 0.15,
      blurPx: 0.8,
      noiseGrey: 6,
      engine: 'zxing' as const,
      actsOn: ['link', 'contact', 'event', 'place', 'e-mail', 'phone', 'text-message', 'network'] as const,
      plays: commonFormats,
    };
    const devices = ['Tablets', 'Laptops'].map((name, index) => ({
      id: newId(),
      name,
      count: 10 * (index + 1),
      ...profile,
      position: index + 1,
    }));
    await server.dataSource.getRepository(Device).insert(devices);
    const deviceIds = devices.map((device) => device.id);
    const { id } = await server.ok<SchoolClassView>('Maren', 'POST', '/api/classes', {
      name: '6 Kestrel',
      studentAccounts: 'none',
      deviceIds: [deviceIds[0]],
    });
    return new Scene(server, id, deviceIds);
  }

  stop(): Promise<void> {
    return this.server.stop();
  }

  async lesson(who = 'Maren', more: object = {}): Promise<string> {
    const request = {
      name: 'Life between the tides',
      classId: this.classId,
      date: '2027-06-10',
      startsAt: '09:40',
      place: 'Biology room',
      viewingDistanceM: 2,
      ...more,
    };
    return (await this.server.ok<CreatedView>(who, 'POST', '/api/lessons', request)).id;
  }

  async stations(lessonId: string, items: readonly NewMaterial[], who = 'Maren'): Promise<readonly string[]> {
    return (
      await this.server.ok<AddedView>(who, 'POST', `/api/lessons/${lessonId}/stations`, { items, materialIds: [] })
    ).stationIds;
  }

  /** Compares a roster, and imports what was compared. */
  async importRoster(
    students: readonly ImportedStudent[],
    { leave = false, fileName = 'x.csv' }: { readonly leave?: boolean; readonly fileName?: string } = {},
  ): Promise<RosterImportView> {
    const rosterComparisonId = await this.compareRoster(students);
    return this.server.ok('Hesper', 'POST', '/api/roster-imports', { rosterComparisonId, leave, fileName });
  }

  async compareRoster(students: readonly ImportedStudent[]): Promise<string> {
    return (await this.server.ok<RosterComparisonView>('Hesper', 'POST', '/api/roster-comparisons', { students })).id;
  }

  bench(lessonId: string, who = 'Maren'): Promise<BenchView> {
    return this.server.ok<BenchView>(who, 'GET', `/api/lessons/${lessonId}`);
  }

  page(stationId: string, who = 'Maren'): Promise<MaterialPage> {
    return this.server.ok<MaterialPage>(who, 'GET', `/api/stations/${stationId}`);
  }

  /** Waits until nothing is being opened in the lesson any more. */
  async opened(lessonId: string): Promise<BenchView> {
    const bench = await until(
      () => this.bench(lessonId),
      ({ opening }) => opening.left === 0,
    );
    if (bench.opening.left > 0) throw new Error('the links were not opened in time');
    // Once more, since titles that were learnt may have become visible after the stations were read.
    return this.bench(lessonId);
  }

  /** Hands in a rehearsal in which every device reaches so far. */
  /** A lesson with these stations, each rehearsed with that reach. @returns its id */
  async rehearsedLesson(items: readonly NewMaterial[], reachM: number): Promise<string> {
    const lessonId = await this.lesson();
    for (const stationId of await this.stations(lessonId, items)) await this.rehearsed(stationId, reachM);
    return lessonId;
  }

  async rehearsed(stationId: string, reachM: number): Promise<void> {
    const { rehearsal } = await this.page(stationId);
    const results = rehearsal.devices.map((device) => ({
      deviceId: device.id,
      reachM,
      hitAndMissM: reachM,
      fromM: 0.2,
      frames: 10,
      confidence: 0.95,
      tried: [],
      others: [],
      misread: null,
    }));
    await this.server.ok('Maren', 'PUT', `/api/stations/${stationId}/rehearsals/${rehearsal.key}`, {
      results,
      unreadBy: [],
    });
  }
}
