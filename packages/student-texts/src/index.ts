export { languages, languageOf, preferredLanguage, type Language, type LanguageTag } from './language.js';
export { studentTexts } from './student-texts.js';
export type { StudentTextKey, StudentTexts } from './languages/en.js';
