/** The reader's language: what was chosen at its foot, or else the phone's. */
import { languageOf, languages, preferredLanguage, studentTexts, type LanguageTag } from '@hapset/student-texts';
import { createContext, useContext, useEffect, useMemo, type ReactElement, type ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import { locale } from '../../platform/language/locale.js';

interface StudentLanguage {
  readonly tag: LanguageTag;
  readonly t: ReturnType<typeof studentTexts>;
}

const StudentLanguageContext = createContext<StudentLanguage>({ tag: 'en', t: studentTexts('en') });

export function useStudentLanguage(): StudentLanguage {
  return useContext(StudentLanguageContext);
}

export function StudentLanguageProvider({ children }: { readonly children: ReactNode }): ReactElement {
  const [search] = useSearchParams();
  const { tag, direction } = languageOf(search.get('lang') ?? '') ?? preferredLanguage(navigator.languages, locale);
  const value = useMemo(() => ({ tag, t: studentTexts(tag) }), [tag]);
  useEffect(() => {
    const { documentElement: root } = document;
    const before = { lang: root.lang, dir: root.dir };
    Object.assign(root, { lang: tag, dir: direction });
    return () => void Object.assign(root, before);
  }, [tag, direction]);
  useEffect(() => loadLetters(tag), [tag]);
  return <StudentLanguageContext value={value}>{children}</StudentLanguageContext>;
}

/** Scripts that a phone may lack, as the server's pages for students load them. */
const letters: Partial<Record<LanguageTag, readonly [file: string, unicodeRange: string]>> = {
  uk: ['sans', 'U+400-52F'],
  ar: ['arabic', 'U+600-6FF, U+200C-200F'],
};

/** Without them the phone's own font is shown. */
function loadLetters(tag: LanguageTag): void {
  const [file, unicodeRange] = letters[tag] ?? [];
  if (file === undefined) return;
  const face = new FontFace('Hapset Script', `url(/p/fonts/${file}.woff2?lang=${tag})`, { unicodeRange });
  document.fonts.add(face);
  face.load().catch(() => document.fonts.delete(face));
}

/** The same choice as at the foot of the server's pages for students. */
export function LanguageChoice(): ReactElement {
  const { tag, t } = useStudentLanguage();
  return (
    <nav aria-label={t('language')} className="mt-auto flex flex-wrap gap-x-1 border-t border-line pt-2 text-body">
      {languages.map((language) => (
        <Link
          key={language.tag}
          to={`?lang=${language.tag}`}
          replace
          lang={language.tag}
          dir={language.direction}
          hrefLang={language.tag}
          aria-current={language.tag === tag}
          className={`inline-flex min-h-11 items-center px-2 ${language.tag === tag ? 'font-semibold text-ink no-underline' : 'text-muted'}`}
        >
          {language.name}
        </Link>
      ))}
    </nav>
  );
}
