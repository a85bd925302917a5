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
  return <StudentLanguageContext value={value}>{children}</StudentLanguageContext>;
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
