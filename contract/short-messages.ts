import { setLocale } from 'yup';

/**
 * What is wrong, never what was sent: Yup prints the whole value into its message, indented, which turns 4 kB of nested
 * brackets into megabytes. Imported first by everything that makes a schema.
 */
setLocale({
  mixed: {
    notType: ({ path, type }: { path: string; type: string }) =>
      type === 'mixed'
        ? `${path} is not of the right kind`
        : `${path} must be ${/^[aeiou]/.test(type) ? 'an' : 'a'} ${type}`,
  },
});
