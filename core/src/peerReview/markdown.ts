import { markdownText } from '../text/index.js';
import { JUDGEMENT_NAMES, OUTCOME_NAMES, type Remark, type WrittenPeerReview } from './model.js';

/**
 * A peer review as Markdown, to go beside a protocol or report.
 * @param title of the review that the strategy belongs to
 */
export function peerReviewMarkdown(title: string, written: WrittenPeerReview): string {
  const { number, version, asked, points, comments, finished } = written;
  const parts = [
    `# Peer review ${number} of the search strategy of ${markdownText(title)}`,
    [
      `- Version looked at: ${markdownText(version)}`,
      `- Asked for by ${byline(asked)}`,
      finished === null
        ? '- Not finished'
        : `- Finished by ${byline({ ...finished, text: '' })}: ${OUTCOME_NAMES[finished.outcome]}`,
    ].join('\n'),
    ...(finished === null || finished.text === '' ? [] : [markdownText(finished.text)]),
    '## Points',
    ...points.map(({ name, asks, judgement, note, person, at }) =>
      [
        `### ${name}`,
        `_${asks}_`,
        judgement === null
          ? 'Not judged.'
          : `**${sentence(JUDGEMENT_NAMES[judgement])}** (${markdownText(person)}, ${day(at)})${note === '' ? '' : `: ${markdownText(note)}`}`,
      ].join('\n\n'),
    ),
    '## Comments',
    ...(comments.length === 0 ? ['None.'] : []),
    ...comments.map(({ about, answers, settled, ...remark }) =>
      [
        `- ${about === '' ? 'The whole strategy' : `\`${about.replace(/[`\r\n]+/g, ' ')}\``}: ${byline(remark)}`,
        ...answers.map((answer) => `  - ${byline(answer)}`),
        `  - ${settled === null ? 'Open' : `Settled by ${markdownText(settled.person)}, ${day(settled.at)}`}`,
      ].join('\n'),
    ),
  ];
  return `${parts.join('\n\n')}\n`;
}

function byline({ text, person, at }: Remark): string {
  return `${markdownText(person)}, ${day(at)}${text === '' ? '' : `: ${markdownText(text)}`}`;
}

function day(at: string): string {
  return at.slice(0, 10);
}

function sentence(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
