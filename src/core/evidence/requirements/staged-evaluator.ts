import { hoursToMs } from '../../quantity/instant';
import type { SegmentContext } from '../segment-context';
import type { Staged } from '../rule';
import { spanOf, statusOf, type ReportedRequirement, type RuleEvaluator } from '../rule-progress';
import type { Turn } from '../segments';
import { aliveRun, creditOf, greatestRun, type Run } from '../run-scan';
import { itemAt } from '../../quantity/present';

type Stage = {
  readonly turn: Turn;
  /** The run that held long enough before the turn. */ readonly held: Run | null;
};

/**
 * A hold before each of several turnings (contract, section 9): for each full turn only the rounds since the
 * full turn before are walked. Always counts hours.
 */
export function createStagedEvaluator(staged: Staged, context: SegmentContext): RuleEvaluator {
  const scanner = context.scanner(staged, 'hours');
  const needMs = hoursToMs(staged.holdHours);
  const part: ReportedRequirement = {
    of: staged,
    floorC: staged.floorC,
    consecutive: false,
    totalHours: staged.holdHours * staged.stages,
  };
  const ended: Stage[] = [];
  let since = context.freshScanner(staged);
  let next = 0;
  /** Gives each round to the stage that it lies in; a turn closes its stage once the moment asked for has reached it. */
  const catchUp = (at: number): void => {
    for (;;) {
      const turn = context.full[ended.length];
      for (
        ;
        next < context.rounds.length && (!turn || itemAt(context.rounds, next).time <= turn.at);
        next += 1
      )
        since.push(itemAt(context.rounds, next));
      if (!turn || turn.at > at) return;
      const best = greatestRun(since.at(turn.at));
      ended.push({ turn, held: best && creditOf(best) >= needMs ? best : null });
      since = context.freshScanner(staged);
    }
  };
  return {
    progress(at) {
      catchUp(at);
      const scan = scanner.at(at);
      const complete = ended.filter(({ held }) => held !== null);
      const counted = complete.slice(0, staged.stages).map(({ turn }) => ({ turn, from: turn.at }));
      const shared = {
        requiredMs: needMs,
        turningsCounted: counted.length,
        turningsRequired: staged.stages,
        part,
        scan,
        counted,
        uncounted: () => [
          ...context.turns
            .filter((turn) => !turn.full)
            .map((turn) => ({ turn, code: 'TURN_PARTIAL' as const })),
          ...ended
            .filter(({ held }) => held === null)
            .map(({ turn }) => ({ turn, code: 'TURN_WITHOUT_HOLD' as const })),
        ],
      };
      const last = complete[staged.stages - 1];
      if (last) {
        return {
          ...shared,
          status: 'proven',
          creditMs: creditOf(last.held!),
          run: spanOf(last.held),
          provenAt: last.turn.at,
          base: at,
          furtherMs: 0,
          reported: last.held,
        };
      }
      const present = since.at(at);
      const [best, alive] = [greatestRun(present), aliveRun(present)];
      return {
        ...shared,
        status: statusOf(scan),
        creditMs: best ? creditOf(best) : 0,
        run: spanOf(alive),
        provenAt: null,
        base: present.latest === 'running' ? alive!.to : at,
        furtherMs: needMs * (staged.stages - counted.length - 1),
        reported: aliveRun(scan),
      };
    },
  };
}
