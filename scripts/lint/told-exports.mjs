// What the core offers says what it returns: functions and classes that are exported have a doc comment.
export const toldExports = {
  meta: {
    type: 'problem',
    schema: [],
    messages: { silent: 'Say what it returns, in which unit, and what it refuses: a doc comment right above.' },
  },
  create(context) {
    return {
      'ExportNamedDeclaration > :matches(FunctionDeclaration, ClassDeclaration)'(node) {
        const comment = context.sourceCode.getCommentsBefore(node.parent).at(-1);
        const isDoc = comment?.type === 'Block' && comment.value.startsWith('*');
        if (!isDoc || comment.loc.end.line !== node.parent.loc.start.line - 1)
          context.report({ node, messageId: 'silent' });
      },
    };
  },
};
