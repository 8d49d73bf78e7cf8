import type { Flow, LotKind } from '@/core/flow/site-file';
import type { Traced } from '@/core/flow/trace';

/** Lots and flows as a drawing from left, where loads come in, to right, where beds and buyers are. */

/** What is to be drawn, before it has places. */
export type FlowGraph = {
  readonly nodes: readonly Pick<FlowNode, 'id' | 'name' | 'kind'>[];
  readonly edges: readonly FlowEdge[];
  /** Lots that there was no room for. */ readonly folded: number;
};
export type FlowNode = {
  readonly id: string;
  readonly name: string;
  readonly kind: LotKind | 'end' | 'more';
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
};
export type FlowBand = {
  readonly id: string;
  readonly points: readonly (readonly [x: number, y: number])[];
  /** Width of the band by its litres. */ readonly width: number;
  readonly litres: number | null;
  /** Some of it was never heated. */ readonly raw: boolean;
};
export type FlowDrawing = {
  readonly nodes: readonly FlowNode[];
  readonly bands: readonly FlowBand[];
  readonly width: number;
  readonly height: number;
  /** Lots that there was no room for. */ readonly folded: number;
};

/** Before the name of an end out of the site. */
const END = 'end:';
/** Beyond so many lots the drawing folds the least of them into a count. */
const MOST_NODES = 30;

type Names = {
  nameOf(id: string): string;
  /** Of an end out of the site; null: it is not drawn. */ nameOfEnd(flow: Flow): string | null;
  carried(flow: string): Traced;
  kindOf(id: string): LotKind;
};
/** All flows between two ends. */
type FlowEdge = { from: string; to: string; litres: number | null; raw: boolean };

/** Flows between the same two ends as one band. */
function edgesOf(
  flows: readonly Flow[],
  names: Names,
  nodes: Map<string, FlowNode['kind']>,
): Map<string, FlowEdge> {
  const edges = new Map<string, FlowEdge>();
  for (const f of flows) {
    const end = f.to === null ? names.nameOfEnd(f) : null;
    if (f.from === null || (f.to === null && end === null)) continue;
    const to = f.to ?? `${END}${end}`;
    nodes.set(f.from, names.kindOf(f.from));
    nodes.set(to, f.to === null ? 'end' : names.kindOf(f.to));
    const { litres, raw } = names.carried(f.id);
    const key = `${f.from}→${to}`;
    const before = edges.get(key);
    edges.set(key, {
      from: f.from,
      to,
      litres:
        before === undefined
          ? litres
          : before.litres === null || litres === null
            ? null
            : before.litres + litres,
      raw: raw[1] > 0 || (before?.raw ?? false),
    });
  }
  return edges;
}

/** The lots that are drawn: those with the most litres through them. */
function chosenNodes(
  nodes: ReadonlyMap<string, FlowNode['kind']>,
  edges: ReadonlyMap<string, FlowEdge>,
): Set<string> {
  if (nodes.size <= MOST_NODES) return new Set(nodes.keys());
  const through = new Map<string, number>();
  for (const e of edges.values())
    for (const id of [e.from, e.to]) through.set(id, (through.get(id) ?? 0) + (e.litres ?? 0));
  const sorted = [...nodes.keys()].sort((a, b) => (through.get(b) ?? 0) - (through.get(a) ?? 0));
  return new Set(sorted.slice(0, MOST_NODES));
}

/** The lots and bands of some flows, the largest of them. */
export function graphOfFlows(flows: readonly Flow[], names: Names): FlowGraph {
  const kinds = new Map<string, FlowNode['kind']>();
  const edges = edgesOf(flows, names, kinds);
  const chosen = chosenNodes(kinds, edges);
  return {
    nodes: [...chosen].map((id) => {
      const kind = kinds.get(id) ?? 'product';
      return { id, kind, name: kind === 'end' ? id.slice(END.length) : names.nameOf(id) };
    }),
    edges: [...edges.values()].filter((e) => chosen.has(e.from) && chosen.has(e.to)),
    folded: kinds.size - chosen.size,
  };
}
