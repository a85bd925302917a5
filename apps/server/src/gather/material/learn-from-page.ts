/** A material takes title and kind from the page that its link opened, where nobody knew better. */
import type { MaterialKind } from '@hapset/core';
import { In, type EntityManager, type FindOptionsWhere } from 'typeorm';
import type { MaterialRecord } from './material-record.js';
import { Material, type TitleSource } from './material.entity.js';

/** Titles that make way for the page's own. */
const replaceable: readonly TitleSource[] = ['address', 'page'];

export interface LearntPage {
  /** '' where the page has none. */
  readonly title: string;
  /** Null where its type tells none. */
  readonly kind: MaterialKind | null;
}

/**
 * What is news, as something to write; null where nothing is. It never writes over what a person wrote meanwhile, nor
 * where the link is another one by then.
 */
export function learnFromPage(
  material: Pick<MaterialRecord, 'id' | 'title' | 'titleSource' | 'kind'>,
  { title, kind }: LearntPage,
): ((manager: EntityManager, link: string) => Promise<void>) | null {
  const news: { readonly where: FindOptionsWhere<Material>; readonly change: Partial<Material> }[] = [];
  if (title !== '' && title !== material.title && replaceable.includes(material.titleSource))
    news.push({ where: { titleSource: In(replaceable) }, change: { title, titleSource: 'page' } });
  if (kind && material.kind === 'web-page') news.push({ where: { kind: 'web-page' }, change: { kind } });
  if (news.length === 0) return null;
  return async (manager, link) => {
    for (const { where, change } of news) await manager.update(Material, { ...where, id: material.id, link }, change);
  };
}
