/** The steps that fix a verdict: the service's own where it is described, general ones otherwise. */
import { unreachable } from '../../platform/result.js';
import type { AccessVerdict } from '../../gather/service-description/access-verdict.js';
import type { ServiceCatalogue } from '../../gather/service-description/catalogue.js';
import { describeAddress } from '../../gather/service-description/match.js';
import { parseUrl } from '../../platform/web-address.js';

/** Steps that open it for students, at the service where it is looked after. */
export interface Remedy {
  /** Name of the service, null where it is not described. */
  readonly service: string | null;
  readonly steps: readonly string[];
  /** True for the steps of a described service; general advice is no step that is known to help. */
  readonly known: boolean;
  /** Page on which the owner does it; null where it is not known. */
  readonly ownerPage: string | null;
}

/** Null when there is nothing to fix. */
export function remedyFor(verdict: AccessVerdict, link: string, catalogue: ServiceCatalogue): Remedy | null {
  if (verdict === 'open') return null;
  const described = describeAddress(link, catalogue);
  const service = described?.service ?? null;
  const own = service?.fixes.find((entry) => entry.verdicts.includes(verdict));
  if (service && own) {
    return {
      service: service.name,
      steps: own.steps,
      known: true,
      ownerPage: ownerPageOf(own, described?.studentLink ?? link),
    };
  }
  return { service: service?.name ?? null, steps: generalSteps(verdict), known: false, ownerPage: null };
}

/** The student's link, where the given one is known as its editor's or another that no student should get; null otherwise. */
export function otherLinkFor(link: string, catalogue: ServiceCatalogue): string | null {
  const described = describeAddress(link, catalogue);
  const role = described?.address?.role ?? 'student';
  return role === 'student' || described?.studentLink === link ? null : (described?.studentLink ?? null);
}

function ownerPageOf({ ownerPage }: { readonly ownerPage?: string | undefined }, link: string): string | null {
  return ownerPage?.replace('{link}', withoutQuery(link)) ?? null;
}

function withoutQuery(link: string): string {
  const url = parseUrl(link);
  return url ? url.origin + url.pathname.replace(/\/$/, '') : link;
}

function generalSteps(verdict: Exclude<AccessVerdict, 'open'>): readonly string[] {
  switch (verdict) {
    case 'sign-in':
      return [
        'Open the page as its owner and look for its sharing settings.',
        'Let everyone who has the link look, without signing in.',
      ];
    case 'named-only':
      return [
        'Open the page as its owner: it is shared with chosen people only.',
        'Let everyone who has the link look, without signing in.',
      ];
    case 'organisation':
      return [
        'Open the page as its owner and look for its sharing settings.',
        'Let everyone who has the link look, or use it with a class whose students have accounts of the school.',
      ];
    case 'closed':
      return ['Open it as its owner, and look at its days and limits: let it take answers again, or share it again.'];
    case 'open-editable':
      return [
        'Students could change it. If that is not meant, open its sharing settings as its owner and let everyone look only.',
      ];
    case 'partial':
      return ['Open the named items as their owner and let everyone who has the link look.'];
    case 'obstructed':
      return [
        'Open the link on a device like your students’ and see whether they would get past it.',
        'Where they would not, keep a copy of it here, or use another page.',
      ];
    case 'missing':
      return [
        'Open the page yourself and copy its whole address once more.',
        'If it was moved or removed, paste the new address here.',
      ];
    case 'empty':
      return ['Replace the file, or write something on the page.'];
    case 'failing':
      return ['Open the page yourself. If it works for you, open it again here in a minute.'];
    case 'unknown':
      return ['Open the link on a device where nobody is signed in, and see what students would see.'];
    case 'refused':
      return ['Paste an address that begins with http or https and that is on the open web.'];
    default:
      return unreachable(verdict);
  }
}
