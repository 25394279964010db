/** Taking edits of a review back, and doing them again. */
import Joi from 'joi';

/** An edit that was taken back, or done again. */
export interface EditTaken {
  /** what it did, to go on from “Undone:”; null where there was nothing to take back or to do again */
  words: string | null;
  /** when it was done first */
  at: string | null;
}

export interface UndoRequest {
  /** only an edit that was made later is taken back; null for any */
  since: string | null;
}

export const undoSchema = Joi.object<UndoRequest>({
  since: Joi.string().isoDate().allow(null).required(),
});
