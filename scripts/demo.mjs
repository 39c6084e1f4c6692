/** Installs what is missing, builds, and starts the server with made-up people. */
import { spawn } from 'node:child_process';
import { installPackages, run } from './install.mjs';

installPackages();
run('npm', ['run', '--silent', 'build']);
const server = spawn(process.execPath, ['server.mjs'], {
  stdio: 'inherit',
  env: { ...process.env, STILLWATER_DEMO: 'yes' },
});
// The server closes first, then this ends with its code.
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
