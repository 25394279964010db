/** What React warns of is a fault: a test during which it does fails. */
const WARNINGS =
  /^(Warning:|An update to|Each child in a list|React |Received `|Cannot update a component|Encountered two children)/;

const seen: string[] = [];
const write = console.error;

beforeEach(() => {
  seen.length = 0;
  console.error = (...parts: unknown[]) => {
    const text = parts.map(String).join(' ');
    if (WARNINGS.test(text)) seen.push(text);
    else write(...parts);
  };
});

afterEach(() => {
  console.error = write;
  if (seen.length > 0) throw new Error(`React warned:\n${seen.join('\n')}`);
});
