// Which backups stay: the last of each of 7 days, and the last of each of 4 weeks.
const name = /^hapset-(\d{4}-\d{2}-\d{2})T(\d{6})\.tar\.gz(?:\.enc)?$/;
const days = 7;
const weeks = 4;

/** "hapset-2026-11-24T023000.tar.gz" @param {Date} now in this machine's time */
export function backupName(now, encrypted) {
  const two = (value) => String(value).padStart(2, '0');
  const day = `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
  const time = `${two(now.getHours())}${two(now.getMinutes())}${two(now.getSeconds())}`;
  return `hapset-${day}T${time}.tar.gz${encrypted ? '.enc' : ''}`;
}

/** "2026-11-24" out of a name; null for other files. */
export function dayOfBackup(file) {
  return name.exec(file)?.[1] ?? null;
}

/** @param {readonly string[]} files of the folder @returns {string[]} those to remove; other files are none of ours */
export function outdated(files) {
  const ours = files
    .filter((file) => name.test(file))
    .sort()
    .reverse();
  const kept = new Set([...lastOfEach(ours, dayOfBackup, days), ...lastOfEach(ours, weekOf, weeks)]);
  return ours.filter((file) => !kept.has(file));
}

/** @param files the latest first */
function lastOfEach(files, spanOf, count) {
  const last = new Map();
  for (const file of files) if (!last.has(spanOf(file))) last.set(spanOf(file), file);
  return [...last.values()].slice(0, count);
}

/** Weeks from Monday, counted. */
function weekOf(file) {
  const [year, month, day] = dayOfBackup(file).split('-').map(Number);
  return Math.floor((Date.UTC(year, month - 1, day) / 86_400_000 + 3) / 7);
}
