import type { ActKind } from '@/core/advice/acts';
import type { Task } from '@/core/advice/tasks';
import { actOf, type BatchStatus, type RuleStatus } from '@/core/status/batch-status';
import type { Instant } from '@/core/quantity/instant';

type PlainFact = 'stage' | 'main' | 'danger' | 'course' | 'age' | 'volume' | 'read' | 'turnings';
/** A fact of a batch that a sentence states. */
type BatchFact = PlainFact | `rule:${string}` | `act:${ActKind}`;

const momentOf = (at: Instant | null | undefined): string =>
  at === null || at === undefined ? 'none' : new Date(at).toISOString();

const ruleValue = ({ code, at, facts }: RuleStatus): string =>
  code === 'met' || code === 'met-where-read' || code === 'unread'
    ? `${code} ${momentOf(at)}`
    : `${code} ${facts.creditedHours.toFixed(2)}/${facts.requiredHours}`;

const stageValue = ({ stage }: BatchStatus): string =>
  [stage.code, stage.held && 'held', stage.isUnread && 'unread'].filter(Boolean).join(' ');

/** The value of a fact by its name. */
const VALUES: Readonly<Record<PlainFact, (s: BatchStatus) => string>> = {
  stage: stageValue,
  main: ({ main }) => (main ? `${main.rule} ${ruleValue(main)}` : 'none'),
  danger: ({ danger }) => danger.level,
  course: ({ course }) => course.code,
  age: ({ age }) => `${age.from} ${momentOf(age.since)}`,
  volume: ({ volumeM3 }) => volumeM3?.toFixed(3) ?? 'unknown',
  read: ({ lastRead }) => momentOf(lastRead?.at),
  turnings: ({ turnings: t }) => `${t.made} made, ${t.counting}/${t.needed} count`,
};

function valueOf(s: BatchStatus, fact: BatchFact): string {
  if (fact in VALUES) return VALUES[fact as PlainFact](s);
  const [kind, name] = [fact.slice(0, fact.indexOf(':')), fact.slice(fact.indexOf(':') + 1)];
  if (kind === 'act') return momentOf(actOf(s, name as ActKind)?.by);
  const rule = s.rules.find((r) => r.rule === name);
  return rule ? ruleValue(rule) : 'not-asked';
}

/** Whether pages bear their facts beside their sentences: asked for when the server starts, by tests. Pages and workers have no process. */
const areShown = (): boolean => typeof process !== 'undefined' && process.env.ZEALOUS_SAYS === '1';

/**
 * What a sentence states, beside it in the page: `batch:B|fact|value`, several with `;` between them. Values are codes, ISO
 * instants and numbers in SI units. Undefined where nobody asked for it.
 */
export const saysOf = (status: BatchStatus, ...facts: readonly BatchFact[]): string | undefined =>
  areShown()
    ? facts.map((fact) => `batch:${status.id}|${fact}|${valueOf(status, fact)}`).join(';')
    : undefined;

/** The same of a task of the day: when its act is due. */
export const saysOfTask = ({
  batch,
  kind,
  due,
}: Pick<Task, 'batch' | 'kind' | 'due'>): string | undefined =>
  areShown() && batch !== null ? `batch:${batch}|act:${kind}|${momentOf(due)}` : undefined;
