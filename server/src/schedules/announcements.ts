/** What schedules brought, as an Atom feed and as the draft of a mail. */
import { formatCount } from '@even-lantern/core';
import type { Schedule } from '@even-lantern/contract';
import { Feed } from 'feed';
import { createTransport } from 'nodemailer';
import { v5 as uuidOfName } from 'uuid';
import type { FreshRecord } from '../store/entities.js';

/** What one database brought at one time. */
export interface Brought {
  databaseName: string;
  /** null where it could not be run */
  entry: number | null;
  fresh: FreshRecord[];
  trouble: string | null;
}

/** What a schedule brought at one time. */
export interface Announcement {
  /** UTC, ISO 8601 */
  dueAt: string;
  brought: Brought[];
}

const SENDER = { name: 'Even Lantern', address: 'even-lantern@localhost' };
/** Records that are named; more are told as a number. */
const NAMED = 200;

/**
 * The feed of a schedule (Atom, RFC 4287).
 * @param origin of the application, such as http://localhost:4310
 */
export function feedOf(
  schedule: Pick<Schedule, 'id' | 'reviewId' | 'feed' | 'createdAt'>,
  title: string,
  announcements: readonly Announcement[],
  origin: string,
): string {
  const review = `${origin}/reviews/${schedule.reviewId}`;
  const feed = new Feed({
    id: `urn:uuid:${schedule.id}`,
    title: plain(`New records: ${title}`),
    link: review,
    copyright: '',
    generator: 'Even Lantern',
    updated: new Date(announcements[0]?.dueAt ?? schedule.createdAt),
    feedLinks: { atom: `${origin}${schedule.feed}` },
    author: { name: 'Even Lantern' },
  });
  for (const announcement of announcements.filter(tellsSomething)) {
    feed.addItem({
      // The same however often it is told, and a UUID of its own (RFC 9562, version 5).
      id: `urn:uuid:${uuidOfName(announcement.dueAt, schedule.id)}`,
      title: plain(headline(announcement)),
      link: linkOf(announcement, review),
      date: new Date(announcement.dueAt),
      content: plain(`<pre>${escaped(textOf(announcement, review))}</pre>`),
    });
  }
  return feed.atom1();
}

/** A mail that is not sent yet, to be opened and sent by a program for mail (RFC 5322). */
export async function mailOf(title: string, announcement: Announcement, review: string): Promise<string> {
  const written = createTransport({ streamTransport: true, buffer: true, newline: 'windows' });
  const { message } = await written.sendMail({
    // Whoever opens it sends it under a name of their own; a mail without a sender is none (RFC 5322, 3.6).
    from: SENDER,
    subject: plain(`${headline(announcement)}: ${title}`),
    text: plain(`${title}\n\n${textOf(announcement, review)}`),
    headers: { 'X-Unsent': '1' },
    date: new Date(announcement.dueAt),
  });
  return String(message);
}

/** Nothing new is no news; that something could not be searched is. */
function tellsSomething({ brought }: Announcement): boolean {
  return brought.some(({ entry, fresh }) => entry === null || fresh.length > 0);
}

function headline({ brought }: Announcement): string {
  const fresh = brought.reduce((sum, each) => sum + each.fresh.length, 0);
  const failed = brought.filter(({ entry }) => entry === null).length;
  const records = fresh === 1 ? '1 new record' : `${fresh === 0 ? 'No' : formatCount(fresh)} new records`;
  return failed === 0 ? records : `${records}, ${failed} of ${brought.length} databases not searched`;
}

function linkOf({ brought }: Announcement, review: string): string {
  const entry = brought.find((each) => each.entry !== null)?.entry;
  return entry == null ? review : `${review}/ledger/${entry}`;
}

function textOf({ brought }: Announcement, review: string): string {
  return brought
    .map(({ databaseName, entry, fresh, trouble }) => {
      if (entry === null) return `${databaseName}: not searched. ${trouble ?? ''}`;
      const named = fresh.slice(0, NAMED).map(({ title, year, accession }) => {
        const at = [...(year > 0 ? [String(year)] : []), accession].join(', ');
        return `  - ${title} (${at})`;
      });
      const more = fresh.length > NAMED ? [`  and ${formatCount(fresh.length - NAMED)} more`] : [];
      const head = `${databaseName}: ${fresh.length === 0 ? 'nothing new' : `${formatCount(fresh.length)} new`}`;
      return [head, ...named, ...more, `  ${review}/ledger/${entry}`].join('\n');
    })
    .join('\n\n');
}

function escaped(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
}

/** Without signs that XML cannot hold, whatever a title brought along. */
function plain(text: string): string {
  return text.replace(
    /[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]|[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/g,
    '',
  );
}
