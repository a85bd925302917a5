export { languages, languageOf, preferredLanguage, type Language, type LanguageTag } from './language.js';
export { allStudentTexts, studentTexts } from './student-texts.js';
export type { StudentTextKey, StudentTexts } from './languages/en.js';
