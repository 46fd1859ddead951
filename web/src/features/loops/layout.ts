import { Graph, layout } from '@dagrejs/dagre';
import { nameOf, type Edge, type Node } from './model';

export interface Point {
  x: number;
  y: number;
}

export interface Placed {
  width: number;
  height: number;
  nodes: { node: Node; x: number; y: number; width: number; height: number }[];
  edges: { edge: Edge; points: Point[] }[];
}

const SIGN = 7.3;
const PADDING = 28;
const HEIGHT = 36;

/** Where everybody stands, from left to right in the direction of the mail. */
export function placed(nodes: Node[], edges: Edge[]): Placed {
  const graph = new Graph({ multigraph: false });
  graph.setGraph({ rankdir: 'LR', nodesep: 18, ranksep: 110, marginx: 12, marginy: 12 });
  graph.setDefaultEdgeLabel(() => ({}));
  for (const node of nodes) {
    graph.setNode(node.id, { width: nameOf(node).length * SIGN + PADDING, height: HEIGHT });
  }
  for (const edge of edges) {
    graph.setEdge(edge.from, edge.to, {});
  }
  layout(graph);
  const whole = graph.graph();
  return {
    width: whole.width ?? 0,
    height: whole.height ?? 0,
    nodes: nodes.map((node) => {
      const { x, y, width, height } = graph.node(node.id);
      return { node, x, y, width, height };
    }),
    edges: edges.map((edge) => ({ edge, points: graph.edge(edge.from, edge.to).points })),
  };
}

/** A smooth line through points, as the `d` of a path. */
export function smooth(points: Point[]): string {
  const [first, ...rest] = points;
  if (first === undefined) {
    return '';
  }
  const through = rest.map((to, i) => {
    const next = rest[i + 1];
    return next === undefined
      ? `L${to.x},${to.y}`
      : `Q${to.x},${to.y} ${(to.x + next.x) / 2},${(to.y + next.y) / 2}`;
  });
  return [`M${first.x},${first.y}`, ...through].join(' ');
}

/** The head of an arrow at the end of a line. */
export function head(points: Point[]): string {
  const [from, to] = points.slice(-2);
  if (from === undefined || to === undefined) {
    return '';
  }
  const angle = Math.atan2(to.y - from.y, to.x - from.x);
  const at = (turn: number) => `${to.x - 9 * Math.cos(angle + turn)},${to.y - 9 * Math.sin(angle + turn)}`;
  return `${to.x},${to.y} ${at(0.4)} ${at(-0.4)}`;
}

/** A point of the smooth line, about halfway. */
export function middle(points: Point[]): Point {
  const at = Math.floor((points.length - 1) / 2);
  const [one, next] = points.slice(at, at + 2);
  return one === undefined || next === undefined
    ? (one ?? { x: 0, y: 0 })
    : { x: (one.x + next.x) / 2, y: (one.y + next.y) / 2 };
}
