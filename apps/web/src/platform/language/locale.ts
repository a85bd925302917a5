/** The school's language and region, as the server wrote it on the page: "en-GB". Dates and numbers are written as there. */
const page = typeof document === 'undefined' ? '' : document.documentElement.lang;
export const locale: string = page || 'en-GB';
