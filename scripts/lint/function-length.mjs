// ESLint's own max-lines-per-function, but for `describe`: that is a heading, and its tests are functions of their own.
import { builtinRules } from 'eslint/use-at-your-own-risk';

const rule = builtinRules.get('max-lines-per-function');

export const functionLength = {
  meta: rule.meta,
  create: (context) =>
    rule.create(
      Object.create(context, {
        report: { value: (finding) => (isDescribe(finding.node) ? undefined : context.report(finding)) },
      }),
    ),
};

function isDescribe({ parent }) {
  if (parent?.type !== 'CallExpression') return false;
  const { callee } = parent;
  const name = callee.type === 'CallExpression' ? callee.callee : callee;
  const root = name.type === 'MemberExpression' ? name.object : name;
  const inner = root.type === 'MemberExpression' ? root.property : root;
  return inner.name === 'describe' || (name.type === 'MemberExpression' && name.property.name === 'describe');
}
