import { say } from '../../messages/say';
import { isoOf, parseInstant, type Instant } from '../quantity/instant';
import { problemLine } from '../words/problem';
import { readSiteFile, type FlowSite } from './site-file';
import { tracedShareText } from './share-text';
import { traceFrom, traceOf, traceUnheated, type Trace } from './trace';

/** The command that traces a site file: one question, answered in words or as JSON (contract, section 7). */

export type TraceCall = {
  readonly unheated: boolean;
  readonly from: string | undefined;
  readonly of: string | undefined;
  readonly at: string | undefined;
  readonly json: boolean;
};
export type TraceAnswer = {
  readonly out: string;
  readonly errors: readonly string[];
  /** 0: answered; 2: unusable. */ readonly status: 0 | 2;
};
const unusable = (path: string, message: string): TraceAnswer => ({
  out: '',
  errors: [problemLine({ path, message })],
  status: 2,
});

const litresText = (litres: number | null): string =>
  litres === null ? say('flow.notKnown') : say('flow.litres', { litres });

function linesOf({ lots, out, sources, notes }: Trace): string[] {
  return [
    ...lots.map((l) =>
      say('flow.lotLine', {
        lot: l.lot,
        litres: litresText(l.litres),
        any: tracedShareText(l.any),
        raw: tracedShareText(l.raw),
      }),
    ),
    ...out.map((o) =>
      say('flow.outLine', {
        flow: o.flow,
        at: isoOf(o.at),
        litres: litresText(o.litres),
        any: tracedShareText(o.any),
        raw: tracedShareText(o.raw),
      }),
    ),
    ...sources.map((s) => say('flow.sourceLine', { lot: s.lot, share: tracedShareText(s.share) })),
    ...notes.map((n) =>
      say('flow.noteLine', { code: n.code, where: 'flow' in n ? n.flow : n.lot }),
    ),
  ];
}

const jsonOf = ({ lots, out, sources, notes }: Trace): string =>
  JSON.stringify({ lots, out: out.map((o) => ({ ...o, at: isoOf(o.at) })), sources, notes });

/** The trace that a call asks for; a text: which argument is wrong, and why. */
function traceAsked(
  site: FlowSite,
  call: TraceCall,
  at: Instant | null,
): Trace | readonly [path: string, message: string] {
  const lots = new Set(site.lots.map((l) => l.id));
  if (call.unheated) return traceUnheated(site, at);
  if (call.of !== undefined) {
    const isKnown = lots.has(call.of) || site.flows.some((f) => f.id === call.of);
    return isKnown ? traceOf(site, call.of, at) : ['--of', say('flow.noLot', { lot: call.of })];
  }
  const from = (call.from ?? '').split(',').filter((id) => id !== '');
  const stranger = from.find((id) => !lots.has(id));
  if (stranger !== undefined) return ['--from', say('flow.noLot', { lot: stranger })];
  return from.length === 0 ? ['--from', say('flow.nameALot')] : traceFrom(site, from, at);
}

/** Answers one question about a site file. @param text the file */
export function answerTrace(text: string, call: TraceCall): TraceAnswer {
  const asked = [call.unheated, call.from !== undefined, call.of !== undefined];
  if (asked.filter(Boolean).length !== 1) return unusable('(call)', say('flow.oneQuestion'));
  const at = call.at === undefined ? null : parseInstant(call.at);
  if (call.at !== undefined && at === null) return unusable('--at', say('flow.noTime'));
  const parsed = readSiteFile(text);
  if (!parsed.ok) return { out: '', errors: parsed.problems.map((p) => problemLine(p)), status: 2 };
  const trace = traceAsked(parsed.site, call, at);
  if (!('lots' in trace)) return unusable(trace[0], trace[1]);
  return { out: call.json ? jsonOf(trace) : linesOf(trace).join('\n'), errors: [], status: 0 };
}
