/**
 * What a request does to a review is said at its handler: `EditsReview` where it edits what people write (a step that can
 * be undone, and a state that versions keep), `EditsNoReview` where it does not. Every handler that takes changes says one
 * of them; a test walks all routes.
 */
import { SetMetadata, type ExecutionContext } from '@nestjs/common';
import type { Reflector } from '@nestjs/core';
import { EDIT_HEADER, PERSON_HEADER } from '@even-lantern/contract';
import type { Request } from 'express';
import type { EntityManager } from 'typeorm';
import type { EntityClass } from '../store/description.js';
import { reviewOfRow } from '../store/tables.js';

export interface ReviewEdit {
  /** of which rows the parameter `id` is an id: those of reviews, where nothing is said, or of something that they hold */
  of?: EntityClass;
  /** whether undo takes it back; taking back is itself no such step */
  undoable?: boolean;
  /** what undo calls it, where the step alone would not tell */
  words?: string;
}

/** A request under way that edits a review. */
export interface EditUnderWay {
  reviewId: string;
  personId: string;
  /** the same for requests that are one edit; null for one by itself */
  edit: string | null;
  words: string | null;
  undoable: boolean;
}

export const REVIEW_EDIT = 'even-lantern:review-edit';

/** The handler edits the review that its parameter `id` names, or that holds what `id` names. */
export const EditsReview = (edit: ReviewEdit = {}) => SetMetadata(REVIEW_EDIT, edit);

/** The handler edits nothing that undo and versions are about. */
export const EditsNoReview = () => SetMetadata(REVIEW_EDIT, null);

/** @returns null for a request that edits no review, that nobody signs, or that edits what is not there */
export async function editUnderWay(
  context: ExecutionContext,
  reflector: Reflector,
  read: EntityManager,
): Promise<EditUnderWay | null> {
  const declared = reflector.get<ReviewEdit | null | undefined>(REVIEW_EDIT, context.getHandler());
  if (declared == null) return null;
  const { headers, params } = context.switchToHttp().getRequest<Request>();
  const [personId, edit] = [headers[PERSON_HEADER], headers[EDIT_HEADER]];
  if (typeof personId !== 'string') return null;
  const { of, undoable = true, words = null } = declared;
  const id = String(params['id']);
  const reviewId = of === undefined ? id : await reviewOfRow(read, of, id);
  if (reviewId === null) return null;
  return { reviewId, personId, edit: typeof edit === 'string' ? edit : null, words, undoable };
}
