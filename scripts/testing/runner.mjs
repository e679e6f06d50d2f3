/**
 * Runs suites as `bundle.mjs` made them, one after another in threads that stay: what suites share is loaded once, and
 * by the third suite is as quick as V8 makes it. So a suite leaves what it shares with others as it found it; one that
 * cannot says `@alone` and is given all it imports for itself.
 */
import { readFileSync } from 'node:fs';
import { SourceMap } from 'node:module';
import { join, relative, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import LightRunner from 'jest-light-runner';
import { MADE, ROOT } from './bundle.mjs';

/** Milliseconds a suite may take. No test is about speed; this is for those that hang. */
const LONGEST = 600_000;

export default class Runner {
  constructor(globalConfig) {
    this.globalConfig = globalConfig;
  }

  /** Suites with a screen and suites without in threads of their own, which each have that much less to load and to make quick. */
  async runTests(suites, watcher, onStart, onResult, onFailure) {
    const made = suites.map((suite) => ({
      ...suite,
      suite,
      path: join(MADE, relative(ROOT, suite.path)).replace(/\.tsx?$/, '.js'),
    }));
    const kinds = [...new Set(made.map(({ context }) => context))];
    await Promise.all(
      kinds.map((kind) =>
        new Threads(this.globalConfig, Math.ceil(this.globalConfig.maxWorkers / kinds.length)).runTests(
          made.filter(({ context }) => context === kind),
          watcher,
          ({ suite }) => onStart(suite),
          ({ suite }, result) => onResult(suite, told(result, suite.path)),
          ({ suite }, error) => onFailure(suite, error),
        ),
      ),
    );
  }
}

class Threads extends LightRunner {
  constructor(globalConfig, maxWorkers) {
    super(globalConfig);
    // Told to the constructor, one would be the thread that this runs in.
    this._globalConfig = { ...globalConfig, maxWorkers };
  }

  _runTest(test) {
    let late;
    const inTime = new Promise((_, reject) => {
      late = setTimeout(() => reject(new Error(`not done after ${LONGEST / 1000} s`)), LONGEST);
    });
    return Promise.race([super._runTest(test), inTime]).finally(() => clearTimeout(late));
  }
}

/** What came of a suite, with places in its source instead of those in the bundle. */
const told = (result, testFilePath) => ({
  ...result,
  testFilePath,
  failureMessage: result.failureMessage && sourced(result.failureMessage),
  testResults: result.testResults.map((test) => ({
    ...test,
    failureMessages: test.failureMessages.map(sourced),
  })),
});

const maps = new Map();
const mapOf = (file) => {
  if (!maps.has(file)) maps.set(file, new SourceMap(JSON.parse(readFileSync(`${file}.map`, 'utf8'))));
  return maps.get(file);
};

const sourced = (text) =>
  text.replace(/(file:\/\/[^\s?:)]+\.js)(?:\?\d+)?:(\d+):(\d+)/g, (place, url, line, column) => {
    const file = fileURLToPath(url);
    if (!file.startsWith(MADE)) return place;
    const { originalSource, originalLine, originalColumn } = mapOf(file).findEntry(line - 1, column - 1);
    if (!originalSource) return place;
    return `${relative(ROOT, resolve(file, '..', originalSource))}:${originalLine + 1}:${originalColumn + 1}`;
  });
