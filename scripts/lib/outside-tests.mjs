import { writeFileSync } from 'node:fs';
import { relative } from 'node:path';

/** Reporter of vitest: what failed beside the tests of a run (a hook, a promise that nobody waits for), which its report as JSON does not count. */
export default class OutsideTests {
  onTestRunEnd(modules, unhandled) {
    const inFiles = modules.flatMap((module) =>
      [module, ...module.children.allSuites()].flatMap((part) =>
        part.errors().map((error) => told(error, relative(process.cwd(), module.moduleId))),
      ),
    );
    writeFileSync(
      process.env.SOVET_OUTSIDE_TESTS,
      [...inFiles, ...unhandled.map((error) => told(error, 'nobody waited'))].join('\n'),
    );
  }
}

const told = ({ message, stack = '' }, where) => {
  const from = stack.split('\n').filter((line) => /^\s*at /.test(line));
  return [`${where}: ${message}`, ...from.slice(0, 4)]
    .flatMap((lines) => lines.split('\n'))
    .map((line) => `    ${line}`)
    .join('\n');
};
