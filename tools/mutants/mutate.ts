import ts from 'typescript';

/** One change of one formula: what stood there, what stands there instead. */
export type Mutant = {
  readonly file: string;
  readonly start: number;
  readonly end: number;
  readonly line: number;
  readonly was: string;
  readonly is: string;
  /** The line it stands on, without its indent: with the change it names the mutant, wherever the line moves to. */
  readonly text: string;
};

/** The name of a mutant: it stays while its line does. */
export const nameOf = ({ file, text, was, is }: Mutant): string => `${file} | ${text} | ${was} → ${is}`;

const SWAPS: Readonly<Record<string, string>> = {
  '+': '-',
  '-': '+',
  '*': '/',
  '/': '*',
  '%': '*',
  '<': '<=',
  '<=': '<',
  '>': '>=',
  '>=': '>',
  '===': '!==',
  '!==': '===',
  '&&': '||',
  '||': '&&',
  '+=': '-=',
  '-=': '+=',
};
const METHODS: Readonly<Record<string, string>> = {
  max: 'min',
  min: 'max',
  floor: 'ceil',
  ceil: 'floor',
  some: 'every',
  every: 'some',
  find: 'findLast',
  findLast: 'find',
};
/** One more of a larger number is a limit that nobody notices. */
const LARGEST = 60;

type Change = readonly [node: ts.Node, is: string];

const isOfTypes = (node: ts.Node): boolean => ts.isTypeNode(node) || ts.isInterfaceDeclaration(node);
/** What stands behind `??` is there for the types. */
const isFallback = ({ parent }: ts.Node, node: ts.Node): boolean =>
  ts.isBinaryExpression(parent) &&
  parent.operatorToken.kind === ts.SyntaxKind.QuestionQuestionToken &&
  parent.right === node;

function ofBinary(node: ts.BinaryExpression): Change[] {
  const swap = SWAPS[node.operatorToken.getText()];
  const isText = [node.left, node.right].some((side) => ts.isStringLiteralLike(side) || ts.isTemplateExpression(side));
  return swap === undefined || (isText && swap === '-') ? [] : [[node.operatorToken, swap]];
}

/** The sign of a comparison, `a < b ? -1 : 1`: two is as good as one. */
const isOnlySign = (node: ts.Node): boolean =>
  ts.isConditionalExpression(node.parent) && /^-?\d$/.test(node.parent.whenTrue.getText());

function ofNumber(node: ts.NumericLiteral): Change[] {
  const value = Number(node.text);
  const isPlain = Number.isInteger(value) && value <= LARGEST && !isFallback(node, node) && !isOnlySign(node);
  return isPlain && !ts.isPropertyAssignment(node.parent) ? [[node, String(value + 1)]] : [];
}

function changesOf(node: ts.Node): Change[] {
  if (ts.isBinaryExpression(node)) return ofBinary(node);
  if (ts.isNumericLiteral(node)) return ofNumber(node);
  if (ts.isPrefixUnaryExpression(node)) {
    const isSign = [ts.SyntaxKind.ExclamationToken, ts.SyntaxKind.MinusToken].includes(node.operator);
    return isSign && !isFallback(node, node) ? [[node, `(${node.operand.getText()})`]] : [];
  }
  if (ts.isPropertyAccessExpression(node) && ts.isCallExpression(node.parent)) {
    const swap = METHODS[node.name.text];
    return swap === undefined ? [] : [[node.name, swap]];
  }
  if (ts.isIfStatement(node)) return [[node.expression, 'false']];
  if (ts.isConditionalExpression(node)) return [[node.condition, `!(${node.condition.getText()})`]];
  return [];
}

/** Every change of every formula of a file; none of its types, texts, imports and refusals in words. */
export function mutantsOf(file: string, source: string): Mutant[] {
  const tree = ts.createSourceFile(file, source, ts.ScriptTarget.ES2022, true);
  const lines = source.split('\n');
  const found: Mutant[] = [];
  const look = (node: ts.Node): void => {
    if (isOfTypes(node) || ts.isImportDeclaration(node) || ts.isThrowStatement(node)) return;
    for (const [at, is] of changesOf(node)) {
      const { line } = tree.getLineAndCharacterOfPosition(at.getStart());
      const text = (lines[line] ?? '').trim();
      found.push({ file, start: at.getStart(), end: at.getEnd(), line: line + 1, was: at.getText(), is, text });
    }
    ts.forEachChild(node, look);
  };
  look(tree);
  return found;
}

export const mutated = (source: string, { start, end, is }: Mutant): string =>
  `${source.slice(0, start)}${is}${source.slice(end)}`;
