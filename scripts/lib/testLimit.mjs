// A test or a hook that never ends fails by its name, instead of standing in the way of all the others.
import { addEventHandler } from 'jest-circus';

/** The longest that one may take, in ms; the longest that does takes a third of it. */
const LIMIT = 180_000;
const limited = (run, what) => async () => {
  let timer;
  const over = new Promise((_, reject) => {
    timer = setTimeout(() => reject(new Error(`${what} was not over after ${LIMIT / 1000} s.`)), LIMIT);
  });
  try {
    return await Promise.race([run(), over]);
  } finally {
    clearTimeout(timer);
  }
};

addEventHandler((event, { currentDescribeBlock: block }) => {
  if (event.name === 'add_test') {
    const test = block.children.at(-1);
    if (test.fn) test.fn = limited(test.fn, `"${test.name}"`);
  }
  if (event.name === 'add_hook') {
    const hook = block.hooks.at(-1);
    hook.fn = limited(hook.fn, hook.type);
  }
});
