export type Decision = 'undecided' | 'keep' | 'unsure' | 'set aside';
export const DECISIONS: readonly Decision[] = ['undecided', 'keep', 'unsure', 'set aside'];
