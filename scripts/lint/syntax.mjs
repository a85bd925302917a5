// Rules of this project that ESLint has no name for, as patterns of its syntax tree. rules.spec.mjs plants what each refuses.

/** At most five parameters; a constructor takes up to six things that it depends on. */
export const parameters = [
  {
    selector: ':function[params.length>5]:not(MethodDefinition[kind="constructor"] > FunctionExpression)',
    message: 'More than five parameters: put what belongs together into an object.',
  },
  {
    selector: 'MethodDefinition[kind="constructor"] > FunctionExpression[params.length>6]',
    message: 'More than six dependencies: something here is a noun of its own.',
  },
];

export const namedExports = [{ selector: 'ExportAllDeclaration', message: 'Name what you export.' }];

/** `format()` of Intl takes the present where nothing is given. */
export const noClock = [
  {
    selector: 'CallExpression[callee.property.name=/^format(?:ToParts)?$/][arguments.length=0]',
    message: 'Without a date this asks the clock, and the core has none.',
  },
];

const palette =
  'slate|gray|zinc|neutral|stone|red|orange|amber|yellow|lime|green|emerald|teal|cyan|sky|blue|indigo|violet|purple|fuchsia|pink|rose|white|black';
const parts = 'text|bg|border|fill|stroke|ring|from|to|via|divide|outline|accent|caret|decoration|shadow';
const token = 'A colour of its own: take a token of platform/design/theme.css.';

const size = 'A size of its own: take a type size or a radius of platform/design/theme.css.';

/** Colours, type sizes and radii come from the theme: dark rooms, contrast and large type are looked after there. */
export const themeTokens = [
  { selector: `Literal[value=/(?:^|[\\s:])(?:text|rounded)-\\[[\\d.]+(?:px|r?em)\\]/]`, message: size },
  { selector: `TemplateElement[value.raw=/(?:^|[\\s:])(?:text|rounded)-\\[[\\d.]+(?:px|r?em)\\]/]`, message: size },
  { selector: `Literal[value=/-\\[#[0-9a-f]{3,8}\\]/i]`, message: token },
  { selector: `TemplateElement[value.raw=/-\\[#[0-9a-f]{3,8}\\]/i]`, message: token },
  { selector: `Literal[value=/(?:^|[\\s:])(?:${parts})-(?:${palette})(?:-\\d{2,3})?(?:$|[\\s/])/]`, message: token },
  {
    selector: `TemplateElement[value.raw=/(?:^|[\\s:])(?:${parts})-(?:${palette})(?:-\\d{2,3})?(?:$|[\\s/])/]`,
    message: token,
  },
  {
    selector:
      "JSXAttribute[name.name='style'] Property[key.name=/^(?:color|background|backgroundColor|borderColor|fill|stroke)$/] > Literal",
    message: token,
  },
];

/** Every field comes from the design system: labels, sizes, focus and dark rooms are looked after there. */
export const ownFields = [
  {
    selector: 'JSXOpeningElement[name.name=/^(?:input|select|textarea)$/]',
    message: 'A field of its own: take one of platform/design.',
  },
];
