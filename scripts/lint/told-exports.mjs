// What others may use says what it is: exported functions and classes have a doc comment, with `all` every export.
export const toldExports = {
  meta: {
    type: 'problem',
    schema: [{ enum: ['all'] }],
    messages: { silent: 'Say what it returns, in which unit, and what it refuses: a doc comment right above.' },
  },
  create(context) {
    const told = context.options[0] === 'all' ? '.declaration' : ':matches(FunctionDeclaration, ClassDeclaration)';
    return {
      [`ExportNamedDeclaration > ${told}`](node) {
        const comment = context.sourceCode.getCommentsBefore(node.parent).at(-1);
        const isDoc = comment?.type === 'Block' && comment.value.startsWith('*');
        if (!isDoc || comment.loc.end.line !== node.parent.loc.start.line - 1)
          context.report({ node, messageId: 'silent' });
      },
    };
  },
};
