import { say } from '../../../messages/say';
import { LoadSchema } from '../store-shapes';
import { describeKind } from './kind';

/** Something was brought to the gate; the entry's id is the load's. */
export const loadKind = describeKind({
  schema: LoadSchema,
  scope: 'store',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'add',
  tell: (data) => ({ title: say('log.loadLogged'), detail: data.material.replaceAll('-', ' ') }),
  record: () => null,
});
