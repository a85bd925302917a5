import {
  routes,
  type ChangeStudent,
  type EndYear,
  type ImportRoster,
  type LeaveStudents,
  type RosterComparisonView,
  type RosterImportView,
  type ImportedStudent,
  type RosterUndoView,
  type StudentGroups,
  type StudentsPage,
  type StudentView,
} from '@hapset/contract';
import {
  infiniteQueryOptions,
  keepPreviousData,
  queryOptions,
  useMutation,
  useQueryClient,
  type UseMutationResult,
} from '@tanstack/react-query';
import { call } from '../../platform/api/client.js';

export interface StudentsRequest {
  readonly find: string;
  readonly className: string | null;
  readonly year: string | null;
  readonly left: boolean;
}

export const studentKeys = {
  all: ['students'],
  page: (request: StudentsRequest) => ['students', 'page', request],
  groups: ['students', 'groups'],
  imports: ['students', 'imports'],
  // Apart from the others: an import would send the roster once more.
  compared: (students: readonly ImportedStudent[]) => ['compared-roster', students],
} as const;

/** As it is in an address. */
export function studentsSearch({
  find,
  className,
  year,
  left,
}: StudentsRequest): Readonly<Record<string, string | null>> {
  return { find: find === '' ? null : find, class: className, year, left: left ? 'yes' : null };
}

export const studentsQuery = (request: StudentsRequest) =>
  infiniteQueryOptions({
    queryKey: studentKeys.page(request),
    queryFn: ({ signal, pageParam }): Promise<StudentsPage> =>
      call(routes.students, { signal, query: { ...studentsSearch(request), after: pageParam } }),
    initialPageParam: null as string | null,
    getNextPageParam: (page) => page.next,
    placeholderData: keepPreviousData,
  });

export const groupsQuery = queryOptions({
  queryKey: studentKeys.groups,
  queryFn: ({ signal }): Promise<StudentGroups> => call(routes.studentGroups, { signal }),
});

export const importsQuery = queryOptions({
  queryKey: studentKeys.imports,
  queryFn: ({ signal }): Promise<readonly RosterImportView[]> => call(routes.rosterImports, { signal }),
});

export const comparisonQuery = (students: readonly ImportedStudent[]) =>
  queryOptions({
    queryKey: studentKeys.compared(students),
    queryFn: ({ signal }): Promise<RosterComparisonView> => call(routes.compareRoster, { body: { students }, signal }),
    enabled: students.length > 0,
    refetchOnWindowFocus: false,
    retry: false,
  });

/** Students stand on many pages; all of them look again. */
function useStudentMutation<Input, Reply>(
  mutationFn: (request: Input) => Promise<Reply>,
): UseMutationResult<Reply, Error, Input> {
  const client = useQueryClient();
  return useMutation({ mutationFn, onSettled: () => client.invalidateQueries({ queryKey: studentKeys.all }) });
}

export function useImportRoster(): UseMutationResult<RosterImportView, Error, ImportRoster> {
  return useStudentMutation((body: ImportRoster) => call(routes.importRoster, { body }));
}

export const rosterUndoQuery = (rosterImportId: string) =>
  queryOptions({
    queryKey: [...studentKeys.imports, rosterImportId],
    queryFn: ({ signal }): Promise<RosterUndoView> => call(routes.rosterUndo, { params: { rosterImportId }, signal }),
    staleTime: 0,
  });

export function useUndoImport(): UseMutationResult<RosterUndoView, Error, string> {
  return useStudentMutation((rosterImportId: string) => call(routes.undoRosterImport, { params: { rosterImportId } }));
}

export function useChangeStudent(studentId: string): UseMutationResult<StudentView, Error, ChangeStudent> {
  return useStudentMutation((body: ChangeStudent) => call(routes.changeStudent, { params: { studentId }, body }));
}

export function useEraseStudent(): UseMutationResult<null, Error, string> {
  return useStudentMutation((studentId: string) => call(routes.eraseStudent, { params: { studentId } }));
}

/** Of a class, or all who left where none is named. */
export function useEraseStudents(): UseMutationResult<StudentGroups, Error, string | null> {
  return useStudentMutation((className: string | null) => call(routes.eraseStudents, { body: { className } }));
}

export function useReplaceCard(): UseMutationResult<StudentView, Error, string> {
  return useStudentMutation((studentId: string) => call(routes.replaceCard, { params: { studentId } }));
}

export function useRemovePhoto(): UseMutationResult<StudentView, Error, string> {
  return useStudentMutation((studentId: string) => call(routes.removeStudentPhoto, { params: { studentId } }));
}

export function useLeaveStudents(): UseMutationResult<StudentGroups, Error, LeaveStudents> {
  return useStudentMutation((body: LeaveStudents) => call(routes.leaveStudents, { body }));
}

export function useEndYear(): UseMutationResult<RosterImportView, Error, EndYear> {
  return useStudentMutation((body: EndYear) => call(routes.endYear, { body }));
}

export function useLeaveClass(): UseMutationResult<StudentGroups, Error, string> {
  return useStudentMutation((className: string) => call(routes.leaveClass, { body: { className } }));
}
