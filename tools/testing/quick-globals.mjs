import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import swcJest from '@swc/jest';

/**
 * Jest runs each file in a context of its own, where every mention of a built-in is a call out of the engine: a hot loop
 * over `Math` takes many times as long as in the program. Here a module looks its built-ins up once. What a test puts
 * something else in the place of (timers, `fetch`, the browser's own) is not among them.
 */
const BUILT_INS = [
  ...[
    'Array',
    'BigInt',
    'Boolean',
    'Date',
    'Error',
    'Infinity',
    'JSON',
    'Map',
    'Math',
    'NaN',
    'Number',
    'Object',
    'Promise',
  ],
  ...['RangeError', 'RegExp', 'Set', 'String', 'Symbol', 'TypeError', 'WeakMap', 'WeakSet', 'isFinite', 'isNaN'],
  ...['Float64Array', 'Int32Array', 'Uint8Array', 'Uint32Array', 'parseFloat', 'parseInt'],
];
const declares = (code, name) =>
  new RegExp(String.raw`^(?:export )?(?:const|let|var|class|function|import)\b[^=;]*\b${name}\b`, 'm').test(code);

/** On the first line, so that lines keep their numbers. */
function withBuiltIns(code) {
  const used = BUILT_INS.filter((name) => new RegExp(String.raw`\b${name}\b`).test(code) && !declares(code, name));
  return used.length === 0 ? code : `const { ${used.join(', ')} } = globalThis; ${code}`;
}

const self = readFileSync(fileURLToPath(import.meta.url));

export default {
  createTransformer(options) {
    const swc = swcJest.createTransformer(options);
    const quick = (made) => ({ ...made, code: withBuiltIns(made.code) });
    return {
      ...swc,
      process: (...given) => quick(swc.process(...given)),
      processAsync: async (...given) => quick(await swc.processAsync(...given)),
      getCacheKey: (...given) =>
        createHash('sha1')
          .update(swc.getCacheKey(...given))
          .update(self)
          .digest('hex'),
    };
  },
};
