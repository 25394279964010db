// What every command does before anything else: says how it is used, and checks what it was given and where it may write.
import { accessSync, constants, mkdirSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';

const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');
/** A command that was given what it does not take (EX_USAGE of sysexits). */
const WRONG_USE = 64;

const SETTINGS = `
Settings, from the environment:
  PORT                 where the application is served, 4310 where nothing is said
  STANDINS_PORT        where the simulated databases answer, 4311 where nothing is said
  EVEN_LANTERN_DATA    the folder that everything is kept in, ./data where nothing is said`;

/**
 * @param use how the command is used, in lines
 * @param options as `parseArgs` of Node has them; a number is `{ type: 'string', number: true }`
 * @param positionals whether it takes words without a name
 * @param rest whether whatever else it is given is passed on as it is
 * @returns the options that were given, by name, and what is not one
 */
export function begin(use, { options = {}, positionals = false, rest = false, settings = false } = {}) {
  const args = process.argv.slice(2);
  if (args.includes('--help') || args.includes('-h')) {
    console.log(settings ? use + '\n' + SETTINGS : use);
    process.exit(0);
  }
  if (settings) checkSettings();
  if (rest) return { values: {}, positionals: args };
  const taken = Object.fromEntries(Object.entries(options).map(([name, { type }]) => [name, { type }]));
  let read;
  try {
    read = parseArgs({ args, options: taken, allowPositionals: positionals });
  } catch (error) {
    stop(`${error.message.split('. To specify')[0]}.\n\n${use}`);
  }
  for (const [name, { number }] of Object.entries(options)) {
    if (number === true && read.values[name] !== undefined && !/^\d{1,9}$/.test(read.values[name])) {
      stop(`--${name} takes a whole number, not “${read.values[name]}”.\n\n${use}`);
    }
  }
  return read;
}

/** Ends the command with a sentence. */
function stop(message) {
  console.error(message);
  process.exit(WRONG_USE);
}

function checkSettings() {
  const ports = ['PORT', 'STANDINS_PORT'].map((name, i) => portOf(name, 4310 + i));
  if (ports[0] === ports[1]) stop(`PORT and STANDINS_PORT are both ${ports[0]}. Give them two numbers.`);
  const folder = dataFolder();
  const trouble = whyNotWritable(folder);
  if (trouble !== null) {
    stop(`The data folder ${folder} cannot be used: ${trouble}. Choose another with EVEN_LANTERN_DATA.`);
  }
}

function portOf(name, otherwise) {
  const given = process.env[name];
  if (given === undefined) return otherwise;
  const port = /^\d{1,5}$/.test(given) ? Number(given) : 0;
  if (port < 1 || port > 65535) stop(`${name} is “${given}”; it has to be a number from 1 to 65535.`);
  return port;
}

export function dataFolder() {
  return resolve(ROOT, process.env.EVEN_LANTERN_DATA ?? 'data');
}

/** Makes a folder where there is none. @returns why it cannot be written to; null where it can */
function whyNotWritable(folder) {
  const missing = [];
  let at = folder;
  // One by one: in some places, making a whole path at once never ends.
  while (!exists(at)) {
    missing.unshift(at);
    at = dirname(at);
  }
  try {
    if (!statSync(at).isDirectory()) return `${at} is a file`;
    for (const each of missing) mkdirSync(each);
    accessSync(folder, constants.R_OK | constants.W_OK | constants.X_OK);
    return null;
  } catch (error) {
    return REASONS[error.code] ?? error.message;
  }
}

const REASONS = {
  EACCES: 'it may not be written to',
  EPERM: 'it may not be written to',
  EROFS: 'its disk may only be read',
  ENOENT: 'it cannot be made there',
  ENOSPC: 'its disk is full',
};

function exists(path) {
  try {
    statSync(path);
    return true;
  } catch (error) {
    return error.code !== 'ENOENT' && error.code !== 'ENOTDIR';
  }
}
