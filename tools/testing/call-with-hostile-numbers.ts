/** Run in a process of its own by its test: what is being called, a line each, then what came of all as the last line. */
import process from 'node:process';
import { BOOK } from '#core/tables/book.ts';
import { callAll } from '#core/testing/hostile-numbers.ts';

console.log(JSON.stringify(callAll(BOOK, (what) => void process.stdout.write(`${what}\n`))));
