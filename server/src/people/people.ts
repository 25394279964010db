import { randomUUID } from 'node:crypto';
import {
  Body,
  Controller,
  createParamDecorator,
  Get,
  Injectable,
  Post,
  type ExecutionContext,
  type PipeTransform,
} from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { newPersonSchema, PERSON_HEADER, type NewPerson, type Person } from '@even-lantern/contract';
import type { Request } from 'express';
import { EditsNoReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { whoAreYou } from '../http/problem.js';
import { Validated } from '../http/validated.js';
import { In } from 'typeorm';
import { PersonRow } from '../store/entities.js';
import { Store } from '../store/store.js';

@Injectable()
export class PeopleService {
  constructor(private readonly store: Store) {}

  async list(): Promise<Person[]> {
    const rows = await this.store.read.getRepository(PersonRow).find({ order: { createdAt: 'ASC' } });
    return rows.map(({ id, name }) => ({ id, name }));
  }

  async add({ name }: NewPerson): Promise<Person> {
    const person = { id: randomUUID(), name: name.trim(), createdAt: new Date().toISOString() };
    await this.store.write((manager) => manager.insert(PersonRow, person));
    return { id: person.id, name: person.name };
  }

  /**
   * What people are called.
   * @param manager of the change that this is part of
   * @returns an empty name for somebody who is not known
   */
  async namesOf(ids: Iterable<string>, manager = this.store.read): Promise<(id: string) => string> {
    const distinct = [...new Set(ids)];
    const rows = distinct.length === 0 ? [] : await manager.findBy(PersonRow, { id: In(distinct) });
    const names = new Map(rows.map(({ id, name }) => [id, name]));
    return (id) => names.get(id) ?? '';
  }

  /** @throws ProblemException when nobody of that id works here */
  async get(id: string | undefined): Promise<Person> {
    const row = id === undefined ? null : await this.store.read.getRepository(PersonRow).findOneBy({ id });
    if (row === null) throw whoAreYou();
    return { id: row.id, name: row.name };
  }
}

const PersonId = createParamDecorator((_: unknown, context: ExecutionContext) => {
  const value = context.switchToHttp().getRequest<Request>().headers[PERSON_HEADER];
  return typeof value === 'string' ? value : undefined;
});

@Injectable()
export class PersonPipe implements PipeTransform<string | undefined, Promise<Person>> {
  constructor(private readonly people: PeopleService) {}

  transform(id: string | undefined): Promise<Person> {
    return this.people.get(id);
  }
}

/** The person who acts, as a parameter of a controller's method. */
export const Actor = () => PersonId(PersonPipe);

@ApiTags('people')
@Controller('people')
export class PeopleController {
  constructor(private readonly people: PeopleService) {}

  @Get()
  @ApiOperation({ summary: 'The people who work here' })
  list(): Promise<Person[]> {
    return this.people.list();
  }

  @Post()
  @EditsNoReview()
  @ApiOperation({ summary: 'Name a person' })
  @ApiBody(bodyOf(newPersonSchema))
  add(@Body(new Validated(newPersonSchema)) body: NewPerson): Promise<Person> {
    return this.people.add(body);
  }
}
