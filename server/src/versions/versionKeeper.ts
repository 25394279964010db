import { Injectable, Logger, type BeforeApplicationShutdown, type NestInterceptor } from '@nestjs/common';
import type { CallHandler, ExecutionContext } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import { tap, type Observable } from 'rxjs';
import { editUnderWay, type EditUnderWay } from '../edits/reviewEdit.js';
import { Store } from '../store/store.js';
import { VersionsService } from './versionsService.js';

/** Changes that come within this time of each other are kept together. */
const PAUSE_MS = 300;

/**
 * Keeps the state of a strategy after each change of it, without being asked. It is kept after the change was answered;
 * where the program stops in between, the next change or whoever looks at the versions keeps what is there.
 */
@Injectable()
export class VersionKeeper implements NestInterceptor, BeforeApplicationShutdown {
  private readonly logger = new Logger('versions');
  private readonly waiting = new Map<string, { timer: NodeJS.Timeout; personId: string }>();
  private going: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly store: Store,
    private readonly versions: VersionsService,
    private readonly reflector: Reflector,
  ) {}

  async intercept(context: ExecutionContext, next: CallHandler): Promise<Observable<unknown>> {
    const edit = await editUnderWay(context, this.reflector, this.store.read);
    if (edit === null) return next.handle();
    return next.handle().pipe(tap({ complete: () => this.changed(edit) }));
  }

  async beforeApplicationShutdown(): Promise<void> {
    for (const reviewId of [...this.waiting.keys()]) this.keepNow(reviewId);
    await this.going;
  }

  /** Keeps what waits to be kept, and ends when it is. */
  async settled(): Promise<void> {
    await this.beforeApplicationShutdown();
  }

  private changed({ reviewId, personId }: EditUnderWay): void {
    const before = this.waiting.get(reviewId);
    // What another person changed is a state of its own.
    if (before !== undefined && before.personId !== personId) this.keepNow(reviewId);
    clearTimeout(before?.timer);
    const timer = setTimeout(() => this.keepNow(reviewId), PAUSE_MS);
    timer.unref();
    this.waiting.set(reviewId, { timer, personId });
  }

  private keepNow(reviewId: string): void {
    const waiting = this.waiting.get(reviewId);
    if (waiting === undefined) return;
    clearTimeout(waiting.timer);
    this.waiting.delete(reviewId);
    this.going = this.going
      .then(() => this.versions.keep(reviewId, waiting.personId))
      .catch((error: unknown) => this.tell(error));
  }

  private tell(error: unknown): void {
    this.logger.warn(
      `A version could not be kept; the next change keeps it: ${error instanceof Error ? error.message : String(error)}`,
    );
  }
}
