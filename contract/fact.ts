import { array, object, type AnyObject, type InferType, type ObjectSchema, type ObjectShape, type Schema } from 'yup';
import { SUBJECT_KINDS, type Subject } from '#core/record/fact.ts';
import { amount, clientKey, factKey, text, wallClock, word } from '#contract/scalars.ts';

/** What waited longer on a device is refused. */
export const LONGEST_UNSENT_MS = 31 * 86_400_000;

/** The key and the moment of a request: the same for every kind. */
const envelope = {
  key: clientKey().required(),
  /** What came along with another is corrected as well; its key is made of that one's. */
  corrects: factKey().nullable().optional(),
  now: wallClock.required(),
  /** How long ago it was said, ms, where it could not be sent at once: the clocks of two devices need not agree. */
  msAgo: amount().integer().min(0).max(LONGEST_UNSENT_MS).optional(),
};

/**
 * A request that logs a fact: its key, the key of the fact whose place it takes where it corrects one, the player's wall
 * clock, and what the kind says.
 */
const factRequest = <Fields extends ObjectShape>(fields: Fields) =>
  object({ ...envelope, ...fields })
    .exact()
    .required();
const factContent = <Fields extends ObjectShape>(fields: Fields) => object(fields).exact().required();

/**
 * Whose pages are not what they were, now that this is written: what it is about, and whatever hangs on that (a player's
 * instruments, whoever looks after them), each with how often it has been written about.
 */
export const touchedSubjects = array(
  object({
    kind: word(SUBJECT_KINDS).required(),
    id: text().required(),
    revision: amount().integer().min(0).required(),
  })
    .exact()
    .required(),
).required();
export type TouchedSubject = InferType<typeof touchedSubjects>[number];

/** What is answered to something written down: what the kind answers, and whose pages look again. */
export const answerOf = <Fields extends ObjectShape>(fields: Fields) =>
  object({ ...fields, touched: touchedSubjects })
    .exact()
    .required();
/** What is answered where nothing but the key is to be said: it can be taken back under it. */
export const loggedKey = answerOf({ key: factKey().required() });

/** A view, as it is answered to something written down. */
export const answeredWith = <Shown extends AnyObject>(view: ObjectSchema<Shown>) =>
  view.shape({ touched: touchedSubjects });

type RequestOf<Fields extends ObjectShape> = InferType<ReturnType<typeof factRequest<Fields>>>;
type Plain = string | number | boolean | null | undefined;
/** What is said, as it is sent and kept: nobody changes it any more. */
export type Frozen<Value> = Value extends Plain
  ? Value
  : Value extends readonly (infer Element)[]
    ? readonly Frozen<Element>[]
    : { readonly [Field in keyof Value]: Frozen<Value[Field]> };
type ContentOf<Fields extends ObjectShape> = InferType<ReturnType<typeof factContent<Fields>>>;

/** An answer to something written down. */
export type Answered<Answer> = Answer & { readonly touched: readonly TouchedSubject[] };

/** What can be written down at an address of its own. */
export type Posted<Content, Answer> = {
  readonly path: string;
  /** What it says, without its key and the moment: what a form holds. */
  readonly content?: Schema<Content>;
  readonly answer: Schema<Answered<Answer>>;
  /** What kind of fact it is; an addition is several. */
  readonly kind?: string;
  /** More is answered than its key, and needed at once: it does not wait on the device. */
  readonly needsServer?: boolean;
  /** Its key is its sender's name for what is added: sent as `id`, without the moment. */
  readonly isAnAddition?: boolean;
};

/** A kind of fact, as whoever sends it and whoever keeps it both know it. */
export type DeclaredFact<
  Kind extends string,
  Fields extends ObjectShape,
  Body,
  Answer,
  Correctable extends boolean,
> = Posted<ContentOf<Fields>, Answer> & {
  readonly content: Schema<ContentOf<Fields>>;
  /** What its fields are called. */
  readonly fieldNames: readonly string[];
  readonly kind: Kind;
  readonly request: ObjectSchema<RequestOf<Fields>>;
  /** May another of its kind take its place? Then it has a form that does so (`web/features/record/forms.tsx`). */
  readonly correctable: Correctable;
  /** What a body of it looks like, as it stands in a document of the record. */
  readonly kept: Schema;
  /** Of whom it tells; nobody where it is about another fact. */
  about(body: Body): readonly Subject[];
};

type Declaring<Kind extends string, Fields extends ObjectShape, Body, Answer, Correctable extends boolean> = {
  readonly kind: Kind;
  /** Where it is posted. */
  readonly path: string;
  readonly fields: Fields;
  /** What a body of it looks like, where that is not what was said. Rules of today are none of its: old facts stay. */
  readonly kept?: ObjectShape;
  /** Of whom it tells; nobody where it is about another fact. What is kept of it is what was said, unless typed otherwise. */
  readonly about: (body: Body) => readonly Subject[];
  readonly correctable?: Correctable;
  /** More is answered than its key, and needed at once: it does not wait on the device until somebody answers. */
  readonly needsServer?: boolean;
  /** What is answered, where that is more than the key. */
  readonly answer?: Schema<Answered<Answer>>;
};

/**
 * Declares a kind of fact, once for both sides. What is sent, what a form holds, the route, its answer and the type of each
 * follow; the server adds how it is decided, kept and read (`defineFact`).
 */
export const fact = <
  const Kind extends string,
  const Fields extends ObjectShape,
  Body = Frozen<ContentOf<Fields>>,
  Answer extends object = InferType<typeof loggedKey>,
  const Correctable extends boolean = false,
>({
  kind,
  path,
  fields,
  kept = fields,
  about,
  correctable = false as Correctable,
  needsServer = false,
  answer = loggedKey as unknown as Schema<Answered<Answer>>,
}: Declaring<Kind, Fields, Body, Answer, Correctable>): DeclaredFact<Kind, Fields, Body, Answer, Correctable> => ({
  kind,
  path,
  request: factRequest(fields) as unknown as ObjectSchema<RequestOf<Fields>>,
  content: factContent(fields) as unknown as Schema<ContentOf<Fields>>,
  kept: factContent(kept),
  fieldNames: Object.keys(fields),
  answer,
  about,
  correctable,
  needsServer,
});

/** What somebody says in a fact of a kind. */
export type Said<Declared extends { readonly content: Schema }> = InferType<Declared['content']>;
/** What is kept of it. */
export type Kept<Declared extends { about(body: never): unknown }> = Parameters<Declared['about']>[0];
/** What is sent to log one. */
export type Sending<Declared extends { readonly request: Schema }> = InferType<Declared['request']>;

/**
 * What was said, of what is kept: a form takes it and says it again. What the record knows besides is left out.
 *
 * @throws ValidationError where it could not be said any more
 */
export const saidAgain = <Content>(
  { content, fieldNames }: { readonly content: Schema<Content>; readonly fieldNames: readonly string[] },
  kept: object,
): Content =>
  content.validateSync(Object.fromEntries(Object.entries(kept).filter(([field]) => fieldNames.includes(field))), {
    strict: true,
  });
