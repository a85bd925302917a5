// TLS as deploy/nginx.conf sets it up, before the servers of a test: with a certificate made on the spot, at ports of its own.
import { spawn, spawnSync } from 'node:child_process';
import { createHash, X509Certificate } from 'node:crypto';
import { chmodSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { userInfo } from 'node:os';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { stopProcess } from './process.mjs';
import { projectFolder, Trouble } from './settings.mjs';

export const tlsPackages = { nginx: 'nginx-light', openssl: 'openssl' };

/**
 * For 127.0.0.1, for two days. @param folder where its files go, readable for everybody
 * @returns its files, and the hash of its public key by which a browser is told to trust it
 */
export function makeCertificate(folder) {
  mkdirSync(folder, { recursive: true });
  chmodSync(folder, 0o755);
  const [certificate, key] = ['certificate.pem', 'key.pem'].map((name) => join(folder, name));
  const { status, stderr } = spawnSync(
    'openssl',
    [
      ...'req -x509 -newkey ec -pkeyopt ec_paramgen_curve:prime256v1 -nodes -days 2'.split(' '),
      ...'-subj /CN=127.0.0.1 -addext subjectAltName=IP:127.0.0.1'.split(' '),
      ...['-keyout', key, '-out', certificate],
    ],
    { encoding: 'utf8' },
  );
  if (status !== 0) throw new Trouble(`No certificate could be made:\n${stderr}`);
  chmodSync(certificate, 0o644);
  const { publicKey } = new X509Certificate(readFileSync(certificate));
  const keyHash = createHash('sha256')
    .update(publicKey.export({ type: 'spki', format: 'der' }))
    .digest('base64');
  return { certificate, key, keyHash };
}

/**
 * nginx before servers that may start later.
 * @param sites each with the port where it is reached, and the ports of its servers
 * @returns how to end it @throws Trouble
 */
export async function startTls(folder, { certificate, key }, sites) {
  const configuration = join(folder, 'nginx.conf');
  writeFileSync(configuration, nginxConfiguration(folder, { certificate, key }, sites));
  const child = spawn('nginx', ['-p', folder, '-c', configuration], { stdio: ['ignore', 'inherit', 'inherit'] });
  let failure = null;
  child.once('error', (error) => (failure = error.message));
  child.once('exit', (code) => (failure ??= `it ended with ${code}`));
  while (failure === null && !(await listens(sites[0].port))) await sleep(100);
  if (failure !== null) throw new Trouble(`nginx did not start: ${failure}.`);
  return { stop: () => stopProcess(child.pid) };
}

/** The site that ships, at other ports, names and files. */
function nginxConfiguration(folder, { certificate, key }, sites) {
  const shipped = readFileSync(join(projectFolder, 'deploy/nginx.conf'), 'utf8');
  const [, , secure = ''] = shipped.split(/^(?=server \{)/m);
  const blocks = sites.map(({ port, servers }) => {
    const upstream = `hapset_${port}`;
    const site = replaceAll(secure, [
      [/^ +listen \[::\]:443.*\n/gm, ''],
      [/listen 443 /g, `listen 127.0.0.1:${port} `],
      [/server_name [^;]+;/g, 'server_name 127.0.0.1;'],
      [/ssl_certificate [^;]+;/g, `ssl_certificate ${certificate};`],
      [/ssl_certificate_key [^;]+;/g, `ssl_certificate_key ${key};`],
      [/http:\/\/127\.0\.0\.1:4300/g, `http://${upstream}`],
    ]);
    return `upstream ${upstream} { ${servers.map((server) => `server 127.0.0.1:${server};`).join(' ')} }\n${site}`;
  });
  const { username } = userInfo();
  return `daemon off;
${username === 'root' ? 'user root;\n' : ''}pid ${join(folder, 'nginx.pid')};
error_log ${join(folder, 'error.log')};
worker_processes 1;
events {}
http {
  access_log off;
  ${['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'].map((kind) => `${kind}_temp_path ${join(folder, kind)};`).join('\n  ')}
${blocks.join('\n')}
}
`;
}

/** @throws Trouble where what ships no longer holds one of them: it would be tested without it */
function replaceAll(text, replacements) {
  return replacements.reduce((replaced, [pattern, by]) => {
    if (replaced.search(pattern) < 0) throw new Trouble(`deploy/nginx.conf no longer holds ${pattern}.`);
    return replaced.replace(pattern, by);
  }, text);
}

async function listens(port) {
  try {
    await fetch(`https://127.0.0.1:${port}/`, { signal: AbortSignal.timeout(1000) });
    return true;
  } catch (error) {
    // It answers, with a certificate that this process does not know.
    return /SELF_SIGNED/.test(error.cause?.code ?? '');
  }
}
