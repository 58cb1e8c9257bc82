import { describe, expect, test } from '@jest/globals';
import { array, number, object, string, ValidationError } from 'yup';
import { calendarImportFact, calendarPreviewRequest } from '#contract/calendar-in.ts';
import { addInstrumentRequest } from '#contract/instruments.ts';
import { addPlayerRequest } from '#contract/players.ts';
import { RUN_EVENTS } from '#core/packup/run-event.ts';
import { runEventRequest } from '#contract/packup.ts';
import { withdrawRequest } from '#contract/record.ts';
import { FACTS } from '#server/facts.ts';
import { lengthRefusal, lengthsIn, type Lengths } from '#server/http/lengths.ts';
import { bodyOf } from '#server/http/respond.ts';

const schema = object({
  name: string().max(3).required(),
  items: array(object({ id: string().max(2).required(), n: number() }))
    .max(2)
    .required(),
});
const lengths = lengthsIn(schema);
/** A list that counts how often it is looked into. */
function watched(length: number, of: unknown) {
  let looks = 0;
  const list = new Proxy(Array<unknown>(length).fill(of), {
    get: (all, name, self) => {
      if (typeof name === 'string' && /^\d+$/.test(name)) looks++;
      return Reflect.get(all, name, self) as unknown;
    },
  });
  return { list, looks: () => looks };
}

describe('lengths', () => {
  test('are judged wherever they are, and named', () => {
    const refusal = (value: unknown) => lengthRefusal(lengths, value)?.path ?? null;
    expect(refusal({ name: 'abc', items: [{ id: 'ab', n: 1 }, { id: 'cd' }] })).toBeNull();
    expect(refusal({ name: 'abcd', items: [] })).toBe('name');
    expect(refusal({ name: 'a', items: [{ id: 'abc' }] })).toBe('items[0].id');
    expect(refusal({ name: 'a', items: [{ id: 'a' }, { id: 'a' }, { id: 'a' }] })).toBe('items');
    expect(lengthRefusal(lengths, { name: 'abcd' })?.message).toBe('name must be at most 3 characters');
  });

  test('of another shape are left to the schema', () => {
    for (const value of [null, undefined, 1, 'text', [], { name: ['a', 'b', 'c', 'd'] }, { items: 'long text' }])
      expect(lengthRefusal(lengths, value)).toBeNull();
  });

  test('a list that is too long is refused without a look into it', () => {
    const { list, looks } = watched(45_000, 'x');
    expect(() => bodyOf(schema, { body: { name: 'a', items: list } } as never)).toThrow(ValidationError);
    expect(looks()).toBe(0);
  });
});

/** Every list and text of a request, by where it is. */
function limitsIn(of: Lengths, path: string): [string, number][] {
  if (of.kind === 'list') return [[path, of.most], ...limitsIn(of.of, `${path}[]`)];
  if (of.kind === 'text') return [[path, of.most]];
  return of.kind === 'fields'
    ? Object.entries(of.fields).flatMap(([name, one]) => limitsIn(one, `${path}.${name}`))
    : [];
}

describe('every request', () => {
  const requests = [
    ...FACTS.flatMap(({ kind, request }) => (request ? [[kind, request] as const] : [])),
    ...Object.entries({
      addPlayerRequest,
      addInstrumentRequest,
      withdrawRequest,
      calendarPreviewRequest,
      calendarTakeRequest: calendarImportFact.request,
    }),
    ...Object.keys(RUN_EVENTS).map((kind) => [kind, runEventRequest.resolve({ value: { kind } })] as const),
  ];
  test.each(requests)('%s has a largest length for each of its lists and texts', (name, request) => {
    const limits = limitsIn(lengthsIn(request), name);
    expect(limits.filter(([, most]) => !Number.isFinite(most))).toEqual([]);
    expect(limits.length).toBeGreaterThan(0);
  });
});
