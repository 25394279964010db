import type { StrategyVersion } from '@even-lantern/contract';

export function titleOf({ name, number }: StrategyVersion): string {
  return name === '' ? `Version ${number}` : name;
}
