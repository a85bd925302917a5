/** Texts that have elements in them. They are few, and what takes them apart comes with the pages that have some. */
import type { TFunction } from 'i18next';
import type { ReactElement } from 'react';
import { Trans } from 'react-i18next/TransWithoutContext';
import { language, written, type KeyOf, type Texts, type Values } from './catalogue.js';
import { locale } from './locale.js';

export interface ElementsProps<T extends Texts> {
  readonly k: KeyOf<T>;
  readonly values?: Values;
  /** What `<0>…</0>` in the text is, `<1>…</1>` and so on. */
  readonly components: readonly ReactElement[];
}

/** @param area whose words.ts has its catalogue */
export function elements<const T extends Texts>(area: string): (props: ElementsProps<T>) => ReactElement {
  const t = language.getFixedT(locale, area) as TFunction;
  return ({ k, values, components }) => (
    <Trans
      i18n={language}
      t={t}
      ns={area}
      i18nKey={k}
      values={written(values)}
      components={components}
      // What teachers typed is no element, whatever it looks like.
      tOptions={{ interpolation: { escapeValue: true } }}
      shouldUnescape
    />
  );
}
