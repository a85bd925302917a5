// Texts of the pages are in the catalogue (apps/web/languages): a second language is one folder, and all wording is
// read and corrected in one place. i18next/no-literal-string sees text between tags; this sees the rest.

const message = 'A text of the pages: put it into apps/web/languages/en and take it from the area’s words.ts.';
const letters = /\p{L}{2}/u;
/** Attributes that people read or hear. */
const readAttribute =
  /^(?:aria-(?:label|description)|label|title|placeholder|alt|hint|about|aside|heading|legend|words|question|empty|problem)$/;
/** Attributes that name classes, colours, shapes and addresses. */
const otherAttribute =
  /^(?:class(?:Name)?|to|href|src|style|d|viewBox|transform|id|key|type|name|role|value|accept|data-.*|aria-(?:live|controls|current|haspopup|orientation)|grid|autoComplete)$/i;
/** A name is a text where it is a word of its own, or several; fields of forms have names as well. */
const isReadIn = (attribute, text) =>
  letters.test(text) && (readAttribute.test(attribute) || (attribute === 'name' && /^\p{Lu}| /u.test(text)));
/** A sentence or a few words, and no list of classes. */
const isText = (text) =>
  /(?:^|[“(])\p{Lu}[\p{Ll}’]+[,;:]? \p{L}|^\p{Lu}?\p{Ll}+(?:[,;:]? \p{Ll}+)+[.!?…]$/u.test(text) &&
  !/(?:^| )[\w:[\]-]+-[\w[\]/.-]+(?: |$)/.test(text);
const takesNoText =
  /(?:^|\.)(?:cn|t|call|fetch|querySelector(?:All)?|matchMedia|getItem|setItem|includes|startsWith|add(?:EventListener)?)$/;

function isElsewhere(node) {
  for (let child = node, parent = node.parent; parent; child = parent, parent = parent.parent) {
    if (parent.type === 'JSXAttribute') return otherAttribute.test(parent.name.name);
    if (/^(?:Import|ExportAll|ThrowStatement|TSLiteralType|TSTemplateLiteralType)/.test(parent.type)) return true;
    if (parent.type === 'NewExpression') return true;
    if (parent.type === 'CallExpression' && parent.callee !== child)
      return takesNoText.test(parent.callee.property?.name ?? parent.callee.name ?? '');
    if (/^(?:FunctionDeclaration|BlockStatement|JSXElement)$/.test(parent.type)) return false;
  }
  return false;
}

export const catalogueTexts = {
  meta: { type: 'problem', schema: [] },
  create(context) {
    const look = (node, text) => {
      const { parent } = node;
      const attribute =
        parent.type === 'JSXAttribute' ? parent : parent.parent?.type === 'JSXAttribute' ? parent.parent : null;
      const isRead = attribute !== null && isReadIn(attribute.name.name, text);
      if (isRead || (isText(text) && !isElsewhere(node))) context.report({ node, message });
    };
    return {
      Literal(node) {
        if (typeof node.value === 'string') look(node, node.value);
      },
      TemplateLiteral(node) {
        look(node, node.quasis.map(({ value }) => value.cooked).join('x'));
      },
    };
  },
};
