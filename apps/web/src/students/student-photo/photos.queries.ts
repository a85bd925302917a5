import { routes, type PhotoMatches, type StudentView } from '@hapset/contract';
import { useMutation, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import { call } from '../../platform/api/client.js';
import { studentKeys } from '../student/roster.queries.js';

/** Whose photos files are. */
export function matchPhotos(files: readonly string[]): Promise<PhotoMatches> {
  return call(routes.matchPhotos, { body: { files } });
}

interface Photo {
  readonly studentId: string;
  /** Base64 of a JPEG. */
  readonly picture: string;
}

export function useAddPhoto(): UseMutationResult<StudentView, Error, Photo> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ studentId, picture }: Photo) =>
      call(routes.addStudentPhoto, { params: { studentId }, body: { picture } }),
    onSettled: () => client.invalidateQueries({ queryKey: studentKeys.all }),
  });
}
