import { Graph, layout } from '@dagrejs/dagre';
import type { FlowDrawing, FlowGraph } from '../flow-drawing';

/** Gives lots and bands their places: from left, where loads come in, to right, where beds and buyers are. */

const NODE = { w: 132, h: 40 } as const;
const [THIN, THICK] = [2, 18];
type Point = { readonly x: number; readonly y: number };

export function layOutFlows({ nodes, edges, folded }: FlowGraph): FlowDrawing {
  const graph = new Graph<object, Point, { points?: Point[] }>();
  graph.setGraph({ rankdir: 'LR', nodesep: 14, ranksep: 54, marginx: 6, marginy: 6 });
  for (const { id } of nodes) graph.setNode(id, { width: NODE.w, height: NODE.h } as never);
  for (const e of edges) graph.setEdge(e.from, e.to, {});
  layout(graph);
  const placeOf = (id: string): Point => graph.node(id);
  const pointsOf = (from: string, to: string): readonly Point[] =>
    graph.edge(from, to).points ?? [];
  const most = Math.max(1, ...edges.map((e) => e.litres ?? 0));
  const size = graph.graph() as { width?: number; height?: number };
  return {
    nodes: nodes.map((n) => {
      const { x, y } = placeOf(n.id);
      return { ...n, ...NODE, x: x - NODE.w / 2, y: y - NODE.h / 2 };
    }),
    bands: edges.map(({ from, to, litres, raw }) => ({
      id: `${from}→${to}`,
      points: pointsOf(from, to).map(({ x, y }) => [x, y] as const),
      width: litres === null ? THIN : THIN + (THICK - THIN) * Math.sqrt(litres / most),
      litres,
      raw,
    })),
    width: Math.ceil(size.width ?? 0),
    height: Math.ceil(size.height ?? 0),
    folded,
  };
}
