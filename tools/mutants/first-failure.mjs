import process from 'node:process';
import { TestEnvironment } from 'jest-environment-node';

/** Ends the whole run at the first test that fails: of a broken formula no more need be known. */
export default class FirstFailure extends TestEnvironment {
  handleTestEvent({ name }) {
    if (name === 'test_fn_failure' || name === 'hook_failure') process.exit(1);
  }
}
