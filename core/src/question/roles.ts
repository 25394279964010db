import { frameworkOf, type ElementKey, type FrameworkId } from './elements.js';

/** The part of a question that words of a sentence seem to be. */
export const ROLES = ['population', 'intervention', 'comparison', 'outcome', 'time', 'setting'] as const;
export type Role = (typeof ROLES)[number];

/** In which element a part may stand, the fittest first. */
const ELEMENTS: Readonly<Record<Role, readonly ElementKey[]>> = {
  population: ['P', 'Sa'],
  intervention: ['I', 'E', 'PI'],
  comparison: ['C'],
  outcome: ['O', 'Ev', 'PI'],
  time: ['T'],
  setting: ['S', 'Co'],
};

/** The element of a framework that a part of a sentence belongs to; null where the framework has none for it. */
export function elementOfRole(role: Role | null, framework: FrameworkId): ElementKey | null {
  const { elements } = frameworkOf(framework);
  return role === null ? null : (ELEMENTS[role].find((key) => elements.includes(key)) ?? null);
}
