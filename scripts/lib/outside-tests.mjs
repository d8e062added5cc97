import { writeFileSync } from 'node:fs';

/** Reporter of vitest: what failed outside its tests, which its report as JSON leaves out, into a file of its own. */
export default class OutsideTests {
  onTestRunEnd(_modules, errors) {
    const told = errors.map(({ name, message, stack = '' }) =>
      [`${name}: ${message}`, ...stack.split('\n').slice(0, 6)].map((line) => `    ${line}`).join('\n'),
    );
    writeFileSync(process.env.SOVET_OUTSIDE_TESTS, told.join('\n'));
  }
}
