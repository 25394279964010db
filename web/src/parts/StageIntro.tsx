export function StageIntro(_: { stage: string }) {
  return null;
}
