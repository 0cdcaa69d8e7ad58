import type { ParamDef } from '../../params.ts';
import { digParam, meshFixParams, purlinParam } from '../../penParams.ts';

const run = { key: 'run', is: [true] } as const;

/** Parameters of the run beside the house. */
export const runParams: readonly ParamDef[] = [
  { key: 'run', label: 'Attached run', group: 'Run', kind: 'flag', default: false },
  {
    key: 'runLength',
    label: 'Run, length',
    group: 'Run',
    kind: 'length',
    min: 48,
    max: 192,
    step: 0.5,
    default: 96,
    showWhen: run,
  },
  {
    key: 'runBay',
    label: 'Run studs at most',
    group: 'Run',
    kind: 'length',
    min: 16,
    max: 36,
    step: 1,
    default: 24,
    showWhen: run,
  },
  {
    key: 'runRoof',
    label: 'Run roof',
    group: 'Run',
    kind: 'choice',
    default: 'metal',
    choices: [
      { value: 'metal', label: 'Ribbed metal' },
      { value: 'mesh', label: 'Mesh' },
    ],
    showWhen: run,
  },
  purlinParam('runPurlins', 'Run', run),
  {
    key: 'runMesh',
    label: 'Run mesh',
    group: 'Run',
    kind: 'choice',
    default: 'hardware-cloth',
    choices: [
      { value: 'hardware-cloth', label: '½″ hardware cloth' },
      { value: 'welded-wire', label: '½ × 1″ welded' },
      { value: 'poultry-netting', label: '1″ netting' },
    ],
    showWhen: run,
  },
  ...meshFixParams('Run', ['sides', 'overhead'], run),
  {
    key: 'runGate',
    label: 'Run gate, width',
    group: 'Run',
    kind: 'length',
    min: 20,
    max: 36,
    step: 0.5,
    default: 28,
    showWhen: run,
  },
  digParam('runDig', 'Run', run),
  {
    key: 'secondRun',
    label: 'Second run, at the right',
    group: 'Run',
    kind: 'flag',
    default: false,
    help: 'As the first one, mirrored: grass rests while the other is used.',
    showWhen: run,
  },
];
