export type Fact = readonly [name: string, value: React.ReactNode];

export function Facts({ facts, quiet = false }: { facts: readonly Fact[]; quiet?: boolean }) {
  return (
    <dl className="grid grid-cols-[max-content_minmax(0,1fr)] gap-x-4 text-[0.8125rem] max-md:grid-cols-1">
      {facts.map(([name, value], i) => (
        <div key={`${name} ${i}`} className="contents">
          <dt className="quiet">{name}</dt>
          <dd className={quiet ? 'font-mono text-xs leading-5 break-all' : 'break-words'}>{value}</dd>
        </div>
      ))}
    </dl>
  );
}
