import { workerData } from 'node:worker_threads';
import { dataFolder } from '../dataFolder.ts';
import { storageRefusal } from '../storageProblem.ts';
import { outcomeOf } from '../threadOutcome.ts';
import { comeAfterOthers } from '../threadPriority.ts';
import { type LaneTask, openBenches } from './benches.ts';
import type { LaneWork } from './lanes.ts';

const { root, nice, follows } = workerData as LaneWork;
comeAfterOthers(nice);
const folder = dataFolder(root);
const benches = openBenches({ folder, now: Date.now, follows });

export default (task: LaneTask) =>
  outcomeOf(
    () => benches.perform(task),
    (error) => storageRefusal(error, folder.database),
  );
