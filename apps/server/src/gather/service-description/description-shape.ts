/** Does it have the shape of a description? By docs/service-description.schema.json, the same file that people read. */
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { DescriptionProblem, DescriptionProblemReason } from '@hapset/core';
import { Ajv2020, type ErrorObject } from 'ajv/dist/2020.js';

const file = fileURLToPath(new URL('../../../../../docs/service-description.schema.json', import.meta.url));
const validate = new Ajv2020({ allErrors: true }).compile(JSON.parse(readFileSync(file, 'utf8')) as object);
/** Whoever sends a thousand mistakes learns of the first ones. */
const shownProblems = 20;

/** None where it has the shape. */
export function shapeProblems(given: unknown): readonly DescriptionProblem[] {
  return validate(given) ? [] : (validate.errors ?? []).slice(0, shownProblems).map(toProblem);
}

function toProblem({ keyword, instancePath, params }: ErrorObject): DescriptionProblem {
  const path = instancePath.slice(1).replaceAll('/', '.');
  const below = (name: unknown): string => (path === '' ? String(name) : `${path}.${String(name)}`);
  if (keyword === 'required') return { path: below(params.missingProperty), reason: 'missing', detail: '' };
  if (keyword === 'additionalProperties')
    return {
      path: below(params.additionalProperty),
      reason: 'unknown-field',
      detail: String(params.additionalProperty),
    };
  if (keyword === 'enum')
    return { path, reason: 'wrong-value', detail: (params.allowedValues as readonly string[]).join(', ') };
  return { path, reason: reasons[keyword] ?? 'wrong-value', detail: '' };
}

const reasons: Readonly<Record<string, DescriptionProblemReason>> = {
  type: 'wrong-kind',
  minLength: 'missing',
  minItems: 'missing',
  maxLength: 'too-long',
  maxItems: 'too-long',
  uniqueItems: 'twice',
};
