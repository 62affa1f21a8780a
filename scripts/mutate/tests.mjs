// The part of the test runner's own words that tests of core use, with its own assertions: describe, it, it.each, expect.
import { format } from 'node:util';
import {
  addCustomEqualityTesters,
  ASYMMETRIC_MATCHERS_OBJECT,
  chai,
  customMatchers,
  getState,
  GLOBAL_EXPECT,
  JestAsymmetricMatchers,
  JestChaiExpect,
  JestExtend,
  setState,
} from '@vitest/expect';

[JestExtend, JestChaiExpect, JestAsymmetricMatchers].forEach((plugin) => chai.use(plugin));

/** @returns what stands in for `vitest`, the tests that it gathers, and what begins the tests of a file */
export function vitestHere() {
  const tests = [];
  const within = [];
  let file = '';
  const it = (name, run) => {
    const whole = [...within, name].join(' ');
    tests.push({ id: `${file}#${whole}`, name: whole, run });
  };
  const describe = (name, body) => {
    within.push(name);
    body();
    within.pop();
  };
  it.each = (cases) => (name, run) =>
    cases.forEach((one) => {
      const given = Array.isArray(one) ? one : [one];
      it(format(name, ...given), () => run(...given));
    });
  describe.each = (cases) => (name, body) =>
    cases.forEach((one) => {
      const given = Array.isArray(one) ? one : [one];
      describe(format(name, ...given), () => body(...given));
    });
  return { tests, api: { describe, it, test: it, expect: expectHere() }, beginFile: (name) => void (file = name) };
}

function expectHere() {
  const expect = Object.assign((value, message) => chai.expect(value, message), chai.expect, {
    extend: (matchers) => chai.expect.extend(expect, matchers),
    addEqualityTesters: addCustomEqualityTesters,
    getState: () => getState(expect),
    setState: (state) => setState(state, expect),
  });
  Object.assign(expect, globalThis[ASYMMETRIC_MATCHERS_OBJECT]);
  globalThis[GLOBAL_EXPECT] = expect;
  setState({ assertionCalls: 0, isExpectingAssertions: false, expectedAssertionsNumber: null }, expect);
  expect.extend(customMatchers);
  return expect;
}
