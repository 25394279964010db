/** npm run trials [-- --kills 300] [-- --seed 7]: the trials, at length. */
import { startStack } from '../stack.js';
import { browserTrial } from './browserTrial.js';
import { fullDiskTrial, killTrial, lockTrial, rushTrial } from './trials.js';

const option = (name: string, otherwise: number): number => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? otherwise : Number(process.argv[at + 1]);
};

async function main(): Promise<void> {
  const [kills, seed] = [option('kills', 300), option('seed', 1)];
  const wrong: string[] = [];
  const tell = (name: string, found: string[] | null) => {
    console.log(
      `${name}: ${found === null ? 'not tried, for want of rights' : found.length === 0 ? 'nothing lost' : found.join('; ')}`,
    );
    wrong.push(...(found ?? []));
  };
  const stack = await startStack();
  try {
    tell('Edits and runs at the same moment', await rushTrial(stack));
    tell('A store locked for 20 s', await lockTrial(stack, 20));
    tell('A browser killed, again and again', await browserTrial(stack, Math.ceil(kills / 10), seed));
  } finally {
    await stack.stop();
  }
  tell('A full disk', await fullDiskTrial());
  const { acknowledged, missing, refused } = await killTrial(kills, seed);
  tell(
    `${kills} kills with seed ${seed}, ${acknowledged} acknowledged, refused ${JSON.stringify(refused)}`,
    missing,
  );
  process.exitCode = wrong.length === 0 ? 0 : 1;
}

void main();
