/** Programs that run in threads of their own, so that heavy work holds nobody up, within bounds of memory. */
import type { TransferListItem } from 'node:worker_threads';
import { Piscina } from 'piscina';

const IDLE_MS = 5000;

/** The work needed more memory than it may have. */
export class OutOfMemory extends Error {}

export interface PoolBounds {
  /** threads that work at the same time; one where nothing is said */
  threads?: number;
  /** of each thread, in megabytes; as much as there is where nothing is said */
  memoryMb?: number;
}

export interface RunOptions {
  signal?: AbortSignal;
  /** what is handed over to the thread rather than copied */
  transferList?: TransferListItem[];
}

export class WorkerPool<Task, Result> {
  private readonly pool: Piscina<Task, Result>;

  /** @param program path of a compiled program whose default export does the work */
  constructor(program: string, { threads = 1, memoryMb }: PoolBounds = {}) {
    this.pool = new Piscina<Task, Result>({
      filename: program,
      minThreads: 0,
      maxThreads: threads,
      idleTimeout: IDLE_MS,
      ...(memoryMb === undefined ? {} : { resourceLimits: { maxOldGenerationSizeMb: memoryMb } }),
    });
  }

  /** @throws OutOfMemory, what the program throws, or an AbortError where the signal ended it */
  async run(task: Task, options: RunOptions = {}): Promise<Result> {
    try {
      return await this.pool.run(task, options);
    } catch (error) {
      const code = error instanceof Error && 'code' in error ? error.code : null;
      throw code === 'ERR_WORKER_OUT_OF_MEMORY' ? new OutOfMemory() : error;
    }
  }

  close(): Promise<void> {
    return this.pool.destroy();
  }
}
