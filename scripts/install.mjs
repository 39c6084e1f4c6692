/** Installs what is missing, so that one command is enough on a fresh machine. */
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, statSync } from 'node:fs';

export const CHROMIUM = process.env.CHROMIUM ?? '/usr/bin/chromium';
const INSTALLED = 'node_modules/.package-lock.json';

/** Runs a command with its output shown; ends the script when it fails. */
export function run(command, args, env = {}) {
  const { status } = spawnSync(command, args, {
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  if (status !== 0) {
    console.error(`${command} ${args.join(' ')} failed.`);
    process.exit(status ?? 1);
  }
}

/** Packages, when they are missing or older than the lock file. */
export function installPackages() {
  const [major] = process.versions.node.split('.').map(Number);
  if (major < 20) {
    console.error(`Stillwater needs Node.js 20 or newer; this is ${process.versions.node}.`);
    process.exit(1);
  }
  const fresh =
    existsSync(INSTALLED) && statSync(INSTALLED).mtimeMs >= statSync('package-lock.json').mtimeMs;
  if (!fresh) run('npm', ['ci', '--no-audit', '--no-fund']);
}

/** Debian's Chromium for the browser tests; installed when this is root on Debian. */
export function installChromium() {
  if (existsSync(CHROMIUM)) return;
  const isRoot = process.getuid?.() === 0;
  const isDebian = existsSync('/etc/debian_version');
  if (!isRoot || !isDebian) {
    console.error(
      `The browser tests need Chromium at ${CHROMIUM}. Install Debian's package chromium, or set CHROMIUM to its path.`,
    );
    process.exit(1);
  }
  console.log(
    `Installing Chromium for Debian ${readFileSync('/etc/debian_version', 'utf8').trim()}`,
  );
  run('apt-get', ['update']);
  run('apt-get', ['install', '--yes', '--no-install-recommends', 'chromium'], {
    DEBIAN_FRONTEND: 'noninteractive',
  });
}
