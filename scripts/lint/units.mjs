// Lint rule: degrees and radians, millimetres and metres, grams and kilograms meet in one module only.
const FACTORS = new Set([1000, 1e6]);
const ROUNDERS = new Set(['round', 'ceil', 'floor']);
const MESSAGE = 'Convert with the functions of src/core/1-base/units/convert.ts, so that every quantity has one unit.';

const isNumber = (node, value) => node.type === 'Literal' && node.value === value;
const isPi = (node) => node.type === 'MemberExpression' && node.object.name === 'Math' && node.property.name === 'PI';
const has = (node, test) =>
  test(node) ||
  (node.type === 'BinaryExpression' &&
    (node.operator === '*' || node.operator === '/') &&
    (has(node.left, test) || has(node.right, test)));

const isRounder = (node) =>
  node?.type === 'CallExpression' && node.callee.object?.name === 'Math' && ROUNDERS.has(node.callee.property?.name);

/** Rounding to decimals, Math.round(x * 1000) / 1000, converts nothing. */
const isRounding = (node) =>
  node.operator === '/'
    ? isRounder(node.left)
    : isRounder(node.parent) && node.parent.parent?.type === 'BinaryExpression' && node.parent.parent.operator === '/';

const noHandConversion = {
  meta: { type: 'problem', docs: { description: 'units are converted in one module' } },
  create: (context) => ({
    BinaryExpression(node) {
      if (node.operator !== '*' && node.operator !== '/') return;
      if (isRounding(node)) return;
      const sides = [node.left, node.right];
      const byThousand = sides.some((side) => side.type === 'Literal' && FACTORS.has(side.value));
      const angle =
        (isNumber(node.right, 180) && has(node.left, isPi)) ||
        (isPi(node.right) && has(node.left, (side) => isNumber(side, 180))) ||
        (isNumber(node.left, 180) && isPi(node.right));
      if (byThousand || angle) context.report({ node, message: MESSAGE });
    },
  }),
};

export default { meta: { name: 'inclinar' }, rules: { 'no-hand-conversion': noHandConversion } };
