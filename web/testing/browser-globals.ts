import { TextDecoder, TextEncoder } from 'node:util';

// jsdom lacks what every browser has and the router asks for when it is loaded.
Object.assign(globalThis, { TextEncoder, TextDecoder });
