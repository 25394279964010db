import { AsyncLocalStorage } from 'node:async_hooks';
import {
  Injectable,
  type CallHandler,
  type ExecutionContext,
  type NestInterceptor,
  type OnApplicationShutdown,
} from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import { Observable } from 'rxjs';
import { editUnderWay, type EditUnderWay } from '../edits/reviewEdit.js';
import { Store } from '../store/store.js';
import { EditsService } from './editsService.js';

/** Keeps what each edit did, in the change that makes it. */
@Injectable()
export class EditKeeper implements NestInterceptor, OnApplicationShutdown {
  private readonly current = new AsyncLocalStorage<EditUnderWay>();

  constructor(
    private readonly store: Store,
    private readonly reflector: Reflector,
    edits: EditsService,
  ) {
    store.watchWrites(() => {
      const edit = this.current.getStore();
      return edit === undefined ? null : (manager) => edits.watch(manager, edit);
    });
  }

  onApplicationShutdown(): void {
    this.current.disable();
  }

  async intercept(context: ExecutionContext, next: CallHandler): Promise<Observable<unknown>> {
    const edit = await editUnderWay(context, this.reflector, this.store.read);
    if (edit === null || !edit.undoable) return next.handle();
    return new Observable((subscriber) => this.current.run(edit, () => next.handle().subscribe(subscriber)));
  }
}
