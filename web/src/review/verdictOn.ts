import type { NewSettlement, SettledStep } from '@even-lantern/contract';

/** What has been settled on a step between two headings; open where nothing was. */
export function verdictOn(settled: readonly SettledStep[], step: NewSettlement): NewSettlement['verdict'] {
  return (
    settled.find(
      (each) =>
        each.vocabulary === step.vocabulary &&
        each.label === step.label &&
        each.target === step.target &&
        each.targetLabel === step.targetLabel,
    )?.verdict ?? 'open'
  );
}
