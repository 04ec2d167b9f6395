import { workerData } from 'node:worker_threads';
import { openCatalog } from '../catalog/catalogReader.ts';
import { dataFolder } from '../dataFolder.ts';
import { storageRefusal } from '../storageProblem.ts';
import { openDatabase } from '../store/database.ts';
import { outcomeOf } from '../threadOutcome.ts';
import { comeAfterOthers } from '../threadPriority.ts';
import type { LaneWork } from './lanes.ts';
import { answerQuestion, openLocalSearch, type Question } from './localSearch.ts';
import { openWorkbench } from './workbench.ts';

const { root, generation, shared, nice, follows } = workerData as LaneWork;
comeAfterOthers(nice);
const folder = dataFolder(root);
const local = openLocalSearch(
  openWorkbench({
    folder,
    db: openDatabase(folder.database, { readOnly: true }),
    reader: openCatalog(folder, generation, shared),
    now: Date.now,
    follows,
  }),
);

export default (question: Question) =>
  outcomeOf(
    () => answerQuestion(local, question),
    (error) => storageRefusal(error, folder.database),
  );
