import { AsyncLocalStorage } from 'node:async_hooks';
import { Injectable, type CallHandler, type ExecutionContext, type NestInterceptor } from '@nestjs/common';
import { EDIT_HEADER, PERSON_HEADER } from '@even-lantern/contract';
import type { Request } from 'express';
import { Observable } from 'rxjs';
import { Store } from '../store/store.js';
import { changedReview } from '../versions/changedReview.js';
import { EditsService, type Editing } from './editsService.js';

/** Taking back is no edit that could be taken back: it can be done again. */
const TAKES_BACK = /^\/api\/reviews\/[^/]+\/(?:undo|redo)$/;

/** What is done to a strategy as a whole, by its address. */
const WHOLES: readonly (readonly [RegExp, string])[] = [
  [/\/versions\/[^/]+\/go-back$/, 'went back to a version'],
  [/\/strategy\.json$/, 'read a strategy in'],
  [/\/lanes\.json$/, 'read lanes in'],
];

/** Keeps what each edit did, in the change that makes it. */
@Injectable()
export class EditKeeper implements NestInterceptor {
  private readonly editing = new AsyncLocalStorage<Editing>();

  constructor(
    private readonly store: Store,
    edits: EditsService,
  ) {
    store.watchWrites(() => {
      const editing = this.editing.getStore();
      return editing === undefined ? null : (manager) => edits.watch(manager, editing);
    });
  }

  async intercept(context: ExecutionContext, next: CallHandler): Promise<Observable<unknown>> {
    const { method, path, headers } = context.switchToHttp().getRequest<Request>();
    const personId = headers[PERSON_HEADER];
    if (method === 'GET' || typeof personId !== 'string' || TAKES_BACK.test(path)) return next.handle();
    const reviewId = await changedReview(this.store.read, path);
    if (reviewId === null) return next.handle();
    const edit = headers[EDIT_HEADER];
    const words = WHOLES.find(([at]) => at.test(path))?.[1] ?? null;
    const editing = { reviewId, personId, edit: typeof edit === 'string' ? edit : null, words };
    return new Observable((subscriber) =>
      this.editing.run(editing, () => next.handle().subscribe(subscriber)),
    );
  }
}
