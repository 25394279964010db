import { joinedName } from './lookupIndex.js';
import { SAYINGS } from './sayings.js';

test('each line is a name, and what people say for it, told once', () => {
  expect(SAYINGS.length).toBeGreaterThan(800);
  for (const { name, sayings } of SAYINGS) {
    expect(name).toMatch(/^[A-Z][^;:]+$/);
    const keys = sayings.map(joinedName);
    expect({ name, empty: keys.filter((key) => key === '') }).toEqual({ name, empty: [] });
    expect({ name, twice: keys.filter((key, i) => keys.indexOf(key) !== i) }).toEqual({ name, twice: [] });
    expect(keys).not.toContain(joinedName(name));
  }
});
