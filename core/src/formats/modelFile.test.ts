import { parseSpec } from '../model/index.ts';
import { findOutsideRanges, ModelFileError, MODEL_FILE_VERSION, parseModelFile, writeModelFile } from './modelFile.ts';

const spec = parseSpec({ family: 'raised-lean-to', params: { length: 84 } });
const file = writeModelFile({
  name: 'Sorrel',
  purpose: 'Half a dozen hens.',
  spec,
  ranges: { length: [72, 96] },
  notes: ['first'],
});
const why = (json: unknown): string => {
  try {
    parseModelFile(json);
    return 'accepted';
  } catch (error) {
    if (error instanceof ModelFileError) return error.message;
    throw error;
  }
};

describe('a model file', () => {
  it('comes back as it was written, through text', () => {
    expect(parseModelFile(JSON.parse(JSON.stringify(file)))).toEqual(file);
  });
  it('of version 1 is read through its migration', () => {
    expect(
      parseModelFile({
        format: 'rubbet-model',
        version: 1,
        name: 'Old',
        family: 'raised-lean-to',
        schema: 1,
        params: { legs: 30 },
        note: 'kept',
      }),
    ).toMatchObject({ version: MODEL_FILE_VERSION, spec: { params: { legHeight: 30 } }, notes: ['kept'], ranges: {} });
  });
  it('from a newer program says so and how to mend it', () =>
    expect(why({ ...file, version: 9 })).toMatch(
      /version 9 and was made by a newer Rubbet; this one reads up to 2\. Export it there/,
    ));
  it('that is wrong says what, where and what it takes', () => {
    expect(why([])).toMatch(/not a model file/);
    expect(why({ ...file, version: 'two' })).toMatch(/version: "two" is not a version number/);
    expect(why({ ...file, name: 'x' })).toMatch(/name: "x" is not a name of 2 to 80 letters/);
    expect(why({ ...file, colour: 'red' })).toMatch(/colour: "red" does not belong/);
    expect(why({ ...file, spec: { family: 'raised-lean-to', params: { length: 10 } } })).toMatch(
      /spec: length \(Floor, long side\): 10 is out of range/,
    );
    expect(why({ ...file, ranges: { length: [20, 96] } })).toBe('ranges.length: 20 to 96 is not within 36 to 144.');
    expect(why({ ...file, ranges: { siding: [1, 2] } })).toMatch(
      /ranges\.siding: raised-lean-to has no length or count/,
    );
    expect(why({ ...file, ranges: { length: '72 to 96' } })).toMatch(/ranges\.length: "72 to 96" is not two numbers/);
    expect(why({ ...file, notes: 'first' })).toMatch(/notes: "first" is not a list of texts/);
  });
});

it('names what a seller chose outside the ranges', () => {
  const wide = parseSpec({ family: 'raised-lean-to', params: { length: 120 } });
  expect(findOutsideRanges(wide, { length: [72, 96], depth: [36, 60] })).toEqual([
    { param: 'length', label: 'Floor, long side', value: 120, range: [72, 96] },
  ]);
  expect(findOutsideRanges(spec, { length: [72, 96] })).toEqual([]);
});
