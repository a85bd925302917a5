// Students' pages are in eight languages: a text between tags is in packages/student-texts, and nowhere else.

const message = 'A text that students read: put it into packages/student-texts.';

/** @param html of a template, with a space for each value. @returns what is read of it */
const readOf = (html) =>
  html.replace(/<(style|script)\b[\s\S]*?<\/\1>/gi, ' ').replace(/<[^<>]*>/g, (tag) => {
    // What is read aloud or shown of a tag itself.
    const [, words = ''] = /\s(?:alt|title|label|aria-label|placeholder)="([^"]*)"/.exec(tag) ?? [];
    return ` ${words} `;
  });

export const studentHtmlTexts = {
  meta: { type: 'problem', schema: [] },
  create(context) {
    const look = (node, text) => {
      if (/<[a-z!/]/i.test(text) && /\p{L}{2}/u.test(readOf(text))) context.report({ node, message });
    };
    return {
      Literal(node) {
        if (typeof node.value === 'string') look(node, node.value);
      },
      TemplateLiteral(node) {
        look(node, node.quasis.map(({ value }) => value.cooked).join(' '));
      },
    };
  },
};
