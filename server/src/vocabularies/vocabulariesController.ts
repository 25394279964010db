import { randomUUID } from 'node:crypto';
import { Controller, Get, Header, Headers, Param, Post, Query, Req } from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiOperation, ApiTags } from '@nestjs/swagger';
import { vocabularyToJsonLd, vocabularyToTurtle } from '@even-lantern/core';
import {
  vocabularyFileQuerySchema,
  VOCABULARY_FORMATS,
  type Person,
  type VocabularyFileQuery,
} from '@even-lantern/contract';
import { EditsNoReview } from '../edits/reviewEdit.js';
import type { Request } from 'express';
import { badInput } from '../http/problem.js';
import { Validated } from '../http/validated.js';
import { Actor } from '../people/people.js';
import { VocabulariesService } from './vocabulariesService.js';

@ApiTags('vocabularies')
@Controller('vocabularies')
export class VocabulariesController {
  constructor(private readonly vocabularies: VocabulariesService) {}

  @Get()
  @ApiOperation({ summary: 'The vocabularies that are known: of databases, and read from files' })
  list() {
    return this.vocabularies.list();
  }

  @Get(':id')
  @ApiOperation({ summary: 'A whole vocabulary' })
  get(@Param('id') id: string) {
    return this.vocabularies.get(id);
  }

  @Get(':id/turtle')
  @ApiOperation({ summary: 'A vocabulary as SKOS in Turtle' })
  @Header('Content-Type', 'text/turtle; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="vocabulary.ttl"')
  async turtle(@Param('id') id: string): Promise<string> {
    return vocabularyToTurtle(await this.vocabularies.get(id));
  }

  @Get(':id/json-ld')
  @ApiOperation({ summary: 'A vocabulary as SKOS in JSON-LD' })
  @Header('Content-Type', 'application/ld+json; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="vocabulary.jsonld"')
  async jsonLd(@Param('id') id: string): Promise<string> {
    return vocabularyToJsonLd(await this.vocabularies.get(id));
  }

  @Post()
  @EditsNoReview()
  @ApiOperation({ summary: 'Read a vocabulary from SKOS' })
  @ApiConsumes(...VOCABULARY_FORMATS)
  @ApiBody({ schema: { type: 'string' } })
  import(
    @Req() request: Request,
    @Headers('content-type') type: string | undefined,
    @Query(new Validated(vocabularyFileQuerySchema))
    { file = '', job = randomUUID(), encoding }: VocabularyFileQuery,
    @Actor() person: Person,
  ) {
    const format = VOCABULARY_FORMATS.find((each) => type?.split(';')[0]?.trim().toLowerCase() === each);
    if (format === undefined) {
      const message = 'A vocabulary is read from SKOS in Turtle (.ttl) or JSON-LD (.jsonld).';
      throw badInput([{ path: 'content-type', message }]);
    }
    return this.vocabularies.import(request, format, file, { job, encoding }, person);
  }
}
