import { Table, TableIndex, type MigrationInterface, type QueryRunner } from 'typeorm';
import { id, integer, optional, refersTo, text, varchar } from './columns.js';

/** Strategies are looked over by a second person. */
export class PeerReviews1800000000017 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.createTable(
      new Table({
        name: 'peer_review',
        columns: [
          id,
          varchar('reviewId'),
          integer('position'),
          varchar('versionId'),
          text('note'),
          varchar('askedAt'),
          varchar('askedBy'),
          optional(varchar('outcome')),
          text('summary'),
          optional(varchar('finishedAt')),
          optional(varchar('finishedBy')),
        ],
        foreignKeys: [refersTo('reviewId', 'review')],
      }),
    );
    await runner.createIndex(
      'peer_review',
      new TableIndex({ name: 'peer_review_in_order', columnNames: ['reviewId', 'position'], isUnique: true }),
    );
    await runner.createTable(
      new Table({
        name: 'point_judgement',
        columns: [
          id,
          varchar('peerReviewId'),
          integer('position'),
          varchar('point'),
          optional(varchar('judgement')),
          text('note'),
          varchar('at'),
          varchar('personId'),
        ],
        foreignKeys: [refersTo('peerReviewId', 'peer_review')],
      }),
    );
    await runner.createIndex(
      'point_judgement',
      new TableIndex({
        name: 'point_judgement_in_order',
        columnNames: ['peerReviewId', 'position'],
        isUnique: true,
      }),
    );
    await runner.createTable(
      new Table({
        name: 'peer_comment',
        columns: [
          id,
          varchar('peerReviewId'),
          integer('position'),
          optional(varchar('answers')),
          varchar('place'),
          text('about'),
          text('text'),
          varchar('at'),
          varchar('personId'),
          optional(varchar('settledAt')),
          optional(varchar('settledBy')),
        ],
        foreignKeys: [refersTo('peerReviewId', 'peer_review')],
      }),
    );
    await runner.createIndex(
      'peer_comment',
      new TableIndex({
        name: 'peer_comment_in_order',
        columnNames: ['peerReviewId', 'position'],
        isUnique: true,
      }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['peer_comment', 'point_judgement', 'peer_review']) await runner.dropTable(table);
  }
}
