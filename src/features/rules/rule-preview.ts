import type { Problem } from '@/core/words/problem';
import type { StandingCell } from './view';

/** What a rule would have said about the site's batches, or what is wrong with it. */
export type RulePreview =
  | {
      readonly ok: true;
      readonly text: string;
      readonly batches: readonly ({
        readonly code: string;
        readonly name: string;
      } & StandingCell)[];
      readonly fits: number;
    }
  | { readonly ok: false; readonly problems: readonly Problem[] };
