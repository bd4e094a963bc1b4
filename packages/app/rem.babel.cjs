/**
 * Sizes of text are written in px, as everywhere in React Native, and shipped in rem: whoever sets larger letters in
 * their browser gets them (WCAG 2.2, 1.4.4). 16 px is 1 rem. Drawings keep their own units.
 */
const SIZES = new Set(['fontSize', 'lineHeight']);

module.exports = function rem({ types: t }) {
  const inRem = (px) => t.stringLiteral(`${px / 16}rem`);
  const turned = (node) => {
    if (t.isNumericLiteral(node)) return inRem(node.value);
    if (t.isStringLiteral(node) && /^\d+px$/.test(node.value)) return inRem(parseInt(node.value, 10));
    if (t.isConditionalExpression(node))
      return t.conditionalExpression(node.test, turned(node.consequent), turned(node.alternate));
    return node;
  };
  return {
    visitor: {
      ObjectProperty({ node }) {
        if (t.isIdentifier(node.key) && SIZES.has(node.key.name)) node.value = turned(node.value);
      },
    },
  };
};
