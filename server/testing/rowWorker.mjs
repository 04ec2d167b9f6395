// The thread that reads rows, from its sources: what is built knows it by another address.
import { register } from 'tsx/esm/api';

register();
await import('../catalog/rowWorker.ts');
