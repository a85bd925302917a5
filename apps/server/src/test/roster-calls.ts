import type { ImportedStudent, RosterComparisonView, StudentsPage } from '@hapset/contract';
import type { Scene } from './scene.js';

/** What the office does with rosters. @param scene that is known once the tests begin */
export function rosterCalls(scene: () => Scene) {
  return {
    list: (query = '') => scene().server.ok<StudentsPage>('Hesper', 'GET', `/api/students${query}`),
    importRoster: (students: readonly ImportedStudent[], leave = false) =>
      scene().importRoster(students, { leave, fileName: 'Year 6.csv' }),
    compare: (students: readonly ImportedStudent[]) =>
      scene().server.ok<RosterComparisonView>('Hesper', 'POST', '/api/roster-comparisons', { students }),
    names: (page: StudentsPage): readonly string[] => page.rows.map(({ name }) => name),
  };
}
