/** What is said of a file of text that is sent. */
import Joi from 'joi';
import { FILE_ENCODINGS, type FileEncodingName } from './fileEncodings.js';

export interface FileQuery {
  /** by which the reading is watched and stopped */
  job?: string;
  /** in which encoding the file is; found where nobody says so */
  encoding?: FileEncodingName | undefined;
}

/** What is said of a vocabulary that is sent. */
export interface VocabularyFileQuery extends FileQuery {
  /** what the file is called */
  file?: string;
}

/** What is said of an exported file of a database that is asked by hand. */
export interface GivenFileQuery extends FileQuery {
  /** the job of its earlier reading, of which these records take the place */
  insteadOf?: string;
}

export const encodingSchema = Joi.string()
  .valid(...FILE_ENCODINGS)
  .messages({ 'any.only': `There is no such encoding. There is: ${FILE_ENCODINGS.join(', ')}.` });

export const fileQuerySchema = Joi.object<FileQuery>({
  job: Joi.string().max(100),
  encoding: encodingSchema,
});

export const vocabularyFileQuerySchema = Joi.object<VocabularyFileQuery>({
  file: Joi.string().allow('').max(1000),
  job: Joi.string().max(100),
  encoding: encodingSchema,
});

export const givenFileQuerySchema = Joi.object<GivenFileQuery>({
  job: Joi.string().max(100),
  encoding: encodingSchema,
  insteadOf: Joi.string().max(100),
});
