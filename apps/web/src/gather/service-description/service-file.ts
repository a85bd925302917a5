/** Descriptions as a file: one, or a list of them, as JSON. */
import { withTodaysNames, type ServiceDescription } from '@hapset/core';

export type ServiceFile =
  | { readonly ok: true; readonly descriptions: readonly ServiceDescription[] }
  | { readonly ok: false; readonly problem: 'too-large' | 'not-json' | 'no-description' };

const largestBytes = 2_000_000;

/** What a file holds. The shape of each description is checked by the server, which can name the place of a problem. */
export async function readServiceFile(file: Pick<File, 'size' | 'text'>): Promise<ServiceFile> {
  if (file.size > largestBytes) return { ok: false, problem: 'too-large' };
  let content: unknown;
  try {
    content = JSON.parse(await file.text());
  } catch {
    return { ok: false, problem: 'not-json' };
  }
  const list = (Array.isArray(content) ? content : [content]).map(withTodaysNames);
  return list.length > 0 && list.every(isNamed)
    ? { ok: true, descriptions: list }
    : { ok: false, problem: 'no-description' };
}

function isNamed(given: unknown): given is ServiceDescription {
  return (
    typeof given === 'object' &&
    given !== null &&
    'id' in given &&
    typeof given.id === 'string' &&
    given.id !== '' &&
    'name' in given &&
    typeof given.name === 'string'
  );
}

/** Gives the descriptions to the browser's download, under a name that says what they are. */
export function saveServiceFile(descriptions: readonly ServiceDescription[], name: string): void {
  const address = URL.createObjectURL(
    new Blob([`${JSON.stringify(descriptions.length === 1 ? descriptions[0] : descriptions, null, 2)}\n`], {
      type: 'application/json',
    }),
  );
  const link = document.createElement('a');
  link.href = address;
  link.download = `${name}.json`;
  link.click();
  URL.revokeObjectURL(address);
}
