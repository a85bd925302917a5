// What is sent is named field by field: a row that is spread into a reply would send what nobody may see, such as its owner.

const isOfEntity = (symbol) => declaredIn(symbol, /\.entity\.ts$/);
const isOfContract = (symbol) => declaredIn(symbol, /\/packages\/contract\/(?:src|dist)\//);

function declaredIn(symbol, file) {
  return symbol?.declarations?.some((declaration) => file.test(declaration.getSourceFile().fileName)) ?? false;
}

/** A row, a part of one, or what is left of one. */
function holdsRow(checker, type) {
  return isOfEntity(type.symbol) || checker.getPropertiesOfType(type).some(isOfEntity);
}

export const exactViews = {
  meta: {
    type: 'problem',
    schema: [],
    messages: { row: 'A row in a reply: name what is sent, so that nothing else is.' },
  },
  create(context) {
    const services = context.sourceCode.parserServices;
    const checker = services.program.getTypeChecker();
    const expected = (node) => checker.getContextualType(services.esTreeNodeToTSNodeMap.get(node));
    return {
      'ObjectExpression > SpreadElement'(node) {
        if (!holdsRow(checker, services.getTypeAtLocation(node.argument))) return;
        const wanted = expected(node.parent);
        const types = wanted?.isUnion() ? wanted.types : [wanted];
        if (types.some((type) => isOfContract(type?.aliasSymbol) || isOfContract(type?.symbol)))
          context.report({ node, messageId: 'row' });
      },
    };
  },
};
