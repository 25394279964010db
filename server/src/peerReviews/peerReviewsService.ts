import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { Injectable } from '@nestjs/common';
import {
  peerReviewMarkdown,
  type JudgedPoint,
  type Judgement,
  type PeerReviewPoint,
  type Outcome,
} from '@even-lantern/core';
import type {
  NewPeerComment,
  NewPeerReview,
  PeerComment,
  PeerReview,
  PeerReviewEnd,
  Person,
  PointJudgement,
} from '@even-lantern/contract';
import { In, type EntityManager } from 'typeorm';
import { badInput, conflict, notFound } from '../http/problem.js';
import { Configuration } from '../configuration/configuration.js';
import { PeopleService } from '../people/people.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { PeerCommentRow, PeerReviewRow, PointJudgementRow, StrategyVersionRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { digestOf, keepIn, stateOf } from '../versions/versionsService.js';

/** Strategies looked over by a second person. Each belongs to the version of the strategy that was looked at. */
@Injectable()
export class PeerReviewsService {
  private points: Promise<PeerReviewPoint[]> | null = null;

  constructor(
    private readonly store: Store,
    private readonly reviews: ReviewsService,
    private readonly people: PeopleService,
    private readonly configuration: Configuration,
  ) {}

  /** The latest first. */
  async list(reviewId: string, manager = this.store.read): Promise<PeerReview[]> {
    await this.reviews.expect(reviewId, manager);
    const rows = await manager.find(PeerReviewRow, { where: { reviewId }, order: { position: 'DESC' } });
    return this.shown(manager, rows);
  }

  /** Asks for the present strategy to be looked over; it is kept as a version. */
  ask(reviewId: string, { note }: NewPeerReview, person: Person): Promise<PeerReview[]> {
    return this.store.write(async (manager) => {
      await this.reviews.expect(reviewId, manager);
      const versionId = await keepIn(manager, reviewId, person.id, false);
      if (versionId === null) {
        throw conflict('There is no strategy to look over yet.', 'Write its lanes or lines first.');
      }
      const last = (await manager.maximum(PeerReviewRow, 'position', { reviewId })) ?? 0;
      await manager.insert(PeerReviewRow, {
        id: randomUUID(), reviewId, position: last + 1, versionId, note, askedAt: new Date().toISOString(),
        askedBy: person.id, outcome: null, summary: '', finishedAt: null, finishedBy: null,
      }); // prettier-ignore
      return this.list(reviewId, manager);
    });
  }

  /** Judges a point, as somebody else than the one who asked. Earlier judgements stay. */
  async judge(
    id: string,
    point: string,
    { judgement, note }: PointJudgement,
    person: Person,
  ): Promise<PeerReview> {
    const points = await this.checklist();
    if (!points.some((each) => each.id === point)) throw notFound(`The point “${point}”`);
    return this.change(id, async (manager, row) => {
      expectOther(row, person);
      expectOpen(row);
      const position =
        1 + ((await manager.maximum(PointJudgementRow, 'position', { peerReviewId: id })) ?? 0);
      const at = new Date().toISOString();
      await manager.insert(PointJudgementRow, {
        id: randomUUID(), peerReviewId: id, position, point, judgement, note, at, personId: person.id,
      }); // prettier-ignore
    });
  }

  /** Comments on a line or the whole, or answers a comment. Answers are welcome when it is finished, too. */
  comment(id: string, comment: NewPeerComment, person: Person): Promise<PeerReview> {
    const { place, about, text, answers } = comment;
    return this.change(id, async (manager, row) => {
      if (answers === null) expectOpen(row);
      else await expectComment(manager, id, answers);
      const position = 1 + ((await manager.maximum(PeerCommentRow, 'position', { peerReviewId: id })) ?? 0);
      const at = new Date().toISOString();
      await manager.insert(PeerCommentRow, {
        id: randomUUID(), peerReviewId: id, position, answers, place, about, text, at, personId: person.id,
        settledAt: null, settledBy: null,
      }); // prettier-ignore
    });
  }

  settle(id: string, commentId: string, settled: boolean, person: Person): Promise<PeerReview> {
    return this.change(id, async (manager) => {
      await expectComment(manager, id, commentId);
      const change = settled
        ? { settledAt: new Date().toISOString(), settledBy: person.id }
        : { settledAt: null, settledBy: null };
      await manager.update(PeerCommentRow, { id: commentId }, change);
    });
  }

  /** Finishes it with what it comes to, or takes it up again. */
  async end(id: string, { outcome, summary }: PeerReviewEnd, person: Person): Promise<PeerReview> {
    const points = await this.checklist();
    return this.change(id, async (manager, row) => {
      if (outcome === null) {
        await manager.update(PeerReviewRow, { id }, { outcome, finishedAt: null, finishedBy: null });
        return;
      }
      expectOther(row, person);
      expectOpen(row);
      const latest = await latestJudgements(manager, [id]);
      const open = points.filter((point) => (latest.get(`${id} ${point.id}`)?.judgement ?? null) === null);
      if (open.length > 0) {
        const names = open.map(({ name }) => name).join('; ');
        throw badInput([{ path: 'outcome', message: `Judge every point first. Still to judge: ${names}.` }]);
      }
      const finished = { finishedAt: new Date().toISOString(), finishedBy: person.id };
      await manager.update(PeerReviewRow, { id }, { outcome, summary, ...finished });
    });
  }

  async markdown(id: string): Promise<string> {
    const row = await this.store.read.findOneBy(PeerReviewRow, { id });
    if (row === null) throw notFound('This peer review');
    const review = await this.reviews.expect(row.reviewId);
    const [written] = await this.shown(this.store.read, [row]);
    if (written === undefined) throw notFound('This peer review');
    return peerReviewMarkdown(review.title, written);
  }

  /** @param work what is done to it, together with what is answered of it */
  private change(
    id: string,
    work: (manager: EntityManager, row: PeerReviewRow) => Promise<void>,
  ): Promise<PeerReview> {
    return this.store.write(async (manager) => {
      const row = await manager.findOneBy(PeerReviewRow, { id });
      if (row === null) throw notFound('This peer review');
      await this.reviews.expect(row.reviewId, manager);
      await work(manager, row);
      const [shown] = await this.shown(manager, [await manager.findOneByOrFail(PeerReviewRow, { id })]);
      if (shown === undefined) throw notFound('This peer review');
      return shown;
    });
  }

  private checklist(): Promise<PeerReviewPoint[]> {
    this.points ??= readFile(join(this.configuration.contentFolder, 'peer-review-points.json'), 'utf8').then(
      (text) => JSON.parse(text) as PeerReviewPoint[],
    );
    return this.points;
  }

  private async shown(manager: EntityManager, rows: readonly PeerReviewRow[]): Promise<PeerReview[]> {
    const [row] = rows;
    if (row === undefined) return [];
    const ids = rows.map(({ id }) => id);
    const [points, judgements, comments, versions] = await Promise.all([
      this.checklist(),
      latestJudgements(manager, ids),
      manager.find(PeerCommentRow, { where: { peerReviewId: In(ids) }, order: { position: 'ASC' } }),
      manager.find(StrategyVersionRow, {
        where: { id: In(rows.map(({ versionId }) => versionId)) },
        select: { id: true, position: true, name: true, digest: true },
      }),
    ]);
    const digest = digestOf(await stateOf(manager, row.reviewId));
    const nameOf = await this.people.namesOf(
      [
        ...rows.flatMap(({ askedBy, finishedBy }) => [askedBy, finishedBy]),
        ...[...judgements.values()].map(({ personId }) => personId),
        ...comments.flatMap(({ personId, settledBy }) => [personId, settledBy]),
      ].filter((each) => each !== null),
      manager,
    );
    return rows.map((each): PeerReview => {
      const { id, position, versionId, note, askedAt, askedBy, outcome, summary, finishedAt, finishedBy } =
        each;
      const version = versions.find((one) => one.id === versionId);
      return {
        id,
        number: position,
        askedById: askedBy,
        versionId,
        version: version?.name || `Version ${version?.position ?? ''}`.trim(),
        changedSince: version?.digest !== digest,
        asked: { text: note, person: nameOf(askedBy), at: askedAt },
        points: points.map((point): JudgedPoint => {
          const judged = judgements.get(`${id} ${point.id}`);
          const by = judged === undefined || judged.judgement === null ? null : judged;
          return {
            ...point,
            judgement: (judged?.judgement ?? null) as Judgement | null,
            note: judged?.note ?? '',
            person: by === null ? '' : nameOf(by.personId),
            at: by?.at ?? '',
          };
        }),
        comments: commentsOf(
          comments.filter(({ peerReviewId }) => peerReviewId === id),
          nameOf,
        ),
        finished:
          outcome === null || finishedAt === null || finishedBy === null
            ? null
            : { outcome: outcome as Outcome, text: summary, person: nameOf(finishedBy), at: finishedAt },
      };
    });
  }
}

function commentsOf(rows: readonly PeerCommentRow[], nameOf: (id: string) => string): PeerComment[] {
  const remark = ({ text, personId, at }: PeerCommentRow) => ({ text, person: nameOf(personId), at });
  return rows
    .filter(({ answers }) => answers === null)
    .map((row) => ({
      id: row.id,
      place: row.place,
      about: row.about,
      ...remark(row),
      answers: rows.filter(({ answers }) => answers === row.id).map(remark),
      settled:
        row.settledAt === null || row.settledBy === null
          ? null
          : { person: nameOf(row.settledBy), at: row.settledAt },
    }));
}

/** By peer review and point. */
async function latestJudgements(
  manager: EntityManager,
  ids: readonly string[],
): Promise<Map<string, PointJudgementRow>> {
  const rows = await manager.find(PointJudgementRow, {
    where: { peerReviewId: In(ids) },
    order: { position: 'ASC' },
  });
  return new Map(rows.map((row) => [`${row.peerReviewId} ${row.point}`, row]));
}

async function expectComment(manager: EntityManager, peerReviewId: string, id: string): Promise<void> {
  const row = await manager.findOneBy(PeerCommentRow, { id, peerReviewId });
  if (row === null) throw notFound('This comment');
  if (row.answers !== null) throw badInput([{ path: 'answers', message: 'Answer the comment itself.' }]);
}

/** @throws ProblemException for the one who asked: a peer review is made by somebody else */
function expectOther({ askedBy }: PeerReviewRow, person: Person): void {
  if (askedBy !== person.id) return;
  throw conflict(
    'You asked for this peer review, so somebody else has to judge.',
    'Nothing was changed. Whoever looks it over says who they are at the top right; you can comment and answer.',
  );
}

function expectOpen({ finishedAt }: PeerReviewRow): void {
  if (finishedAt === null) return;
  throw conflict('This peer review is finished.', 'Nothing was changed. Take it up again to go on with it.');
}
