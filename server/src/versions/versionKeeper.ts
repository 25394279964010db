import { Injectable, Logger, type BeforeApplicationShutdown, type NestInterceptor } from '@nestjs/common';
import type { CallHandler, ExecutionContext } from '@nestjs/common';
import { PERSON_HEADER } from '@even-lantern/contract';
import type { Request } from 'express';
import { tap, type Observable } from 'rxjs';
import { Store } from '../store/store.js';
import { changedReview } from './changedReview.js';
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
  ) {}

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const { method, path, headers } = context.switchToHttp().getRequest<Request>();
    const personId = headers[PERSON_HEADER];
    if (method === 'GET' || typeof personId !== 'string') return next.handle();
    return next.handle().pipe(tap({ complete: () => void this.changed(path, personId) }));
  }

  async beforeApplicationShutdown(): Promise<void> {
    for (const reviewId of [...this.waiting.keys()]) this.keepNow(reviewId);
    await this.going;
  }

  /** Keeps what waits to be kept, and ends when it is. */
  async settled(): Promise<void> {
    await this.beforeApplicationShutdown();
  }

  private async changed(path: string, personId: string): Promise<void> {
    try {
      const reviewId = await changedReview(this.store.read, path);
      if (reviewId === null) return;
      const before = this.waiting.get(reviewId);
      // What another person changed is a state of its own.
      if (before !== undefined && before.personId !== personId) this.keepNow(reviewId);
      clearTimeout(before?.timer);
      const timer = setTimeout(() => this.keepNow(reviewId), PAUSE_MS);
      timer.unref();
      this.waiting.set(reviewId, { timer, personId });
    } catch (error) {
      this.tell(error);
    }
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
