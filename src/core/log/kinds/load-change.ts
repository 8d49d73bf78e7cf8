import { say } from '../../../messages/say';
import { LoadChangeSchema } from '../store-shapes';
import { describeKind } from './kind';

/** What became of a load: ripened, moved, counted, tested, gone. */
export const loadChangeKind = describeKind({
  schema: LoadChangeSchema,
  scope: 'store',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'note',
  tell: () => ({ title: say('log.loadChanged'), detail: '' }),
  record: () => null,
});
