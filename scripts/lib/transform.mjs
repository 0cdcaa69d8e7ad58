// Jest's modules run in a context of their own, where every look at a global costs a call: those of inner loops are bound once a module.
// Only the core's are: it computes, and names nothing after a global.
import { createTransformer } from '@swc/jest';

const NAMES = ['Array', 'Infinity', 'Map', 'Math', 'Number', 'Object', 'Set', 'Uint32Array', 'Uint8Array'];
// On the first line, so that places in a file stay what they are.
const BOUND = `const ${NAMES.map((n) => `${n} = globalThis.${n}`).join(', ')};`;
const CORE = /[\\/]core[\\/](src|testing)[\\/]/;
const bind = (made, [, file]) => {
  if (!CORE.test(file)) return made;
  return typeof made === 'string' ? BOUND + made : { ...made, code: BOUND + made.code };
};

export default {
  createTransformer(options) {
    const inner = createTransformer(options);
    return {
      ...inner,
      process: (...args) => bind(inner.process(...args), args),
      processAsync: async (...args) => bind(await inner.processAsync(...args), args),
      getCacheKey: (source, file, ...args) =>
        inner.getCacheKey(CORE.test(file) ? BOUND + source : source, file, ...args),
    };
  },
};
