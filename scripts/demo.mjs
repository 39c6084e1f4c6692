/** Installs what is missing, builds, and starts the server with made-up people. */
import { spawn } from 'node:child_process';
import { installPackages, run } from './install.mjs';

installPackages();
run('npm', ['run', '--silent', 'build']);
const server = spawn(process.execPath, ['server.mjs'], {
  stdio: 'inherit',
  env: { ...process.env, STILLWATER_DEMO: 'yes' },
});
// The terminal sends Ctrl-C to both; the server closes first, then this ends with its code.
process.on('SIGINT', () => undefined);
process.on('SIGTERM', () => server.kill('SIGTERM'));
server.on('exit', (code) => process.exit(code ?? 0));
