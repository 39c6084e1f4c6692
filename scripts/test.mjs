/** Installs what is missing, then runs every check and test, and closes with one line of counts. */
import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { installChromium, installPackages } from './install.mjs';

const UNIT_REPORT = 'test-results/unit.json';
const BROWSER_REPORT = 'test-results/browser.json';

installPackages();
installChromium();
rmSync('test-results', { recursive: true, force: true });
mkdirSync('test-results', { recursive: true });

let passed = 0;
let failed = 0;

function step(command, args) {
  console.log(`\n— ${[command, ...args].join(' ')}`);
  return spawnSync(command, args, { stdio: 'inherit' }).status === 0;
}

/** A step that counts as one. */
function count(command, args) {
  const ok = step(command, args);
  if (ok) passed += 1;
  else failed += 1;
  return ok;
}

function readReport(path) {
  try {
    return JSON.parse(readFileSync(path, 'utf8'));
  } catch {
    return null;
  }
}

/** Adds a runner's own counts; a runner that died before its report, or ran nothing, has failed. */
function addCounts(ok, counts) {
  const ran = counts !== null && counts.passed + counts.failed > 0;
  passed += counts?.passed ?? 0;
  failed += counts?.failed ?? 0;
  if (!ran || (!ok && counts.failed === 0)) failed += 1;
}

for (const check of ['types', 'lint', 'imports', 'format', 'unused', 'css']) {
  count('npm', ['run', '--silent', `check:${check}`]);
}

const unitOk = step('npx', [
  'vitest',
  'run',
  '--reporter=default',
  '--reporter=json',
  `--outputFile.json=${UNIT_REPORT}`,
]);
const unit = readReport(UNIT_REPORT);
addCounts(unitOk, unit && { passed: unit.numPassedTests, failed: unit.numFailedTests });

if (count('npm', ['run', '--silent', 'build'])) {
  count('npm', ['run', '--silent', 'check:size']);
  const browserOk = step('npx', ['playwright', 'test']);
  const stats = readReport(BROWSER_REPORT)?.stats;
  addCounts(browserOk, stats && { passed: stats.expected, failed: stats.unexpected + stats.flaky });
}

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
