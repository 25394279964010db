import type { FileProgress } from '@even-lantern/contract';
import { counted } from '@even-lantern/core';
import { useEffect, useState } from 'react';
import { fileApi } from './api/fileApi.js';

/** What is quicker needs no word. */
const AFTER_MS = 400;
const AGAIN_MS = 500;

const megabytes = (bytes: number) => `${(bytes / 1e6).toFixed(bytes < 10e6 ? 1 : 0)} MB`;

/** How far a file is that is being sent and read, with the way to stop it. */
export function FileReading({ job, name }: { job: string; name: string }) {
  const [progress, setProgress] = useState<FileProgress | null>(null);
  const [stop] = fileApi.useStopFileMutation();
  useEffect(() => {
    let events: EventSource | null = null;
    let timer: ReturnType<typeof setTimeout>;
    const watch = () => {
      events = new EventSource(`/api/files/${job}/progress`);
      events.onmessage = ({ data }: MessageEvent<string>) => setProgress(JSON.parse(data) as FileProgress);
      events.onerror = () => {
        // It may not have arrived yet.
        events?.close();
        timer = setTimeout(watch, AGAIN_MS);
      };
    };
    timer = setTimeout(watch, AFTER_MS);
    return () => {
      clearTimeout(timer);
      events?.close();
    };
  }, [job]);
  if (progress === null) return null;
  const { phase, bytes, total, records } = progress;
  const message =
    phase === 'sending'
      ? `Sending ${name}: ${megabytes(bytes)}`
      : phase === 'reading'
        ? `Reading ${name}: ${megabytes(bytes)} of ${megabytes(total ?? bytes)}`
        : `Keeping what ${name} holds: ${counted(records, 'record')}`;
  return (
    <div
      role="status"
      className="flex flex-wrap items-center gap-3 border-l-[3px] border-l-accent bg-[var(--live)] px-3 py-2"
    >
      <progress
        className="progress w-40 text-[var(--color-accent)]"
        aria-label={`Progress of ${name}`}
        {...(phase === 'reading' && total !== null ? { value: bytes, max: total } : {})}
      />
      <span className="flex-1">{message}</span>
      <button className="btn btn-sm btn-quiet" onClick={() => void stop(job)}>
        Stop
      </button>
    </div>
  );
}
