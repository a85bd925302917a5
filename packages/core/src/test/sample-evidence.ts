import { sampleCatalogue } from './sample-services.js';
import type { Evidence, FormFacts, PageFacts } from '../opens/access/evidence.js';
import type { AccessVerdict } from '../gather/service-description/access-verdict.js';
import { judgeAccess } from '../opens/access/verdict.js';
export interface Shape {
  readonly asked?: string;
  readonly final?: string;
  readonly status?: number;
  readonly page?: Partial<PageFacts> | null;
  readonly contentType?: string;
  readonly sizeBytes?: number;
}

export function page(facts: Partial<PageFacts>): PageFacts {
  return { title: '', firstLines: [], visibleCharacters: 2000, forms: [], scripts: 0, refreshTo: null, ...facts };
}

export function evidence({
  asked = 'https://a.example/leaf/x',
  final = asked,
  status = 200,
  page: facts = {},
  contentType = 'text/html',
  sizeBytes = 5000,
}: Shape): Evidence {
  const hops = [asked, ...(final === asked ? [] : [final])].map((address, index, all) => ({
    address,
    status: index === all.length - 1 ? status : 302,
    elapsedMs: 20,
  }));
  return {
    asked,
    hops,
    ending: 'answered',
    final: { address: final, status, contentType, sizeBytes, cut: false, page: facts === null ? null : page(facts) },
    elapsedMs: 50,
  };
}

export const signInForm: FormFacts = {
  action: '/in',
  method: 'post',
  fields: ['email', 'password'],
  buttons: ['Sign in'],
};
export const verdictOf = (shape: Shape): AccessVerdict => judgeAccess(evidence(shape), sampleCatalogue).verdict;
