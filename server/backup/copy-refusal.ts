/** A copy cannot be made, or a file is no copy that can be taken; the message says what to do. */
export class CopyRefusal extends Error {}
