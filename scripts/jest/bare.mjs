// Loaded before Jest and by each of its threads: tests of code that needs no page are plain modules of Node.js, compiled
// as they are read, and share what they import.
import { register as hook } from 'node:module';
import { register as compile } from 'tsx/esm/api';

compile();
hook('./globals.mjs', import.meta.url);
