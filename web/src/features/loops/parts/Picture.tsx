import { useMemo } from 'react';
import { Glyph, type Happening } from '../../../ui/glyphs';
import { head, middle, placed, smooth } from '../layout';
import { edgeInWords, lineOf, nameOf, type Edge, type Line, type Node } from '../model';

const LINES: Record<Line, { look: string; dash?: string; width: number }> = {
  endless: { look: 'text-clay', width: 3 },
  round: { look: 'text-clay', dash: '7 4', width: 2 },
  answer: { look: 'text-ink2', dash: '2 4', width: 1.5 },
  plain: { look: 'text-ink2', width: 1.5 },
};

const BOXES: Record<Node['where'], string> = {
  HERE: 'fill-moss-soft stroke-moss',
  INSIDE: 'fill-sheet stroke-line2',
  OUTSIDE: 'fill-sheet stroke-line2 [stroke-dasharray:4_3]',
  SENDERS: 'fill-ground stroke-line2',
};

/** Who is sent mail by whom, drawn from left to right; the same stands beside it in words. */
export function Picture({ nodes, edges }: { nodes: Node[]; edges: Edge[] }) {
  const drawn = useMemo(() => placed(nodes, edges), [nodes, edges]);
  const known = new Map(nodes.map((node) => [node.id, node]));
  return (
    <svg
      role="img"
      aria-label={`${nodes.length} addresses and the mail between them; the list below says the same in words`}
      width={drawn.width}
      height={drawn.height}
      viewBox={`0 0 ${drawn.width} ${drawn.height}`}
      className="max-w-none"
    >
      {drawn.edges.map(({ edge, points }) => {
        const { look, dash, width } = LINES[lineOf(edge)];
        const at = middle(points);
        return (
          <g key={`${edge.from} ${edge.to}`} className={look}>
            <title>{edgeInWords(edge, known)}</title>
            <path
              d={smooth(points)}
              fill="none"
              stroke="currentColor"
              strokeWidth={width}
              strokeDasharray={dash}
            />
            <polygon points={head(points)} fill="currentColor" />
            {kindsOf(edge).map((kind, i) => (
              <g key={kind} transform={`translate(${at.x - 8 + i * 20},${at.y - 8})`}>
                <circle cx="8" cy="8" r="11" className="fill-sheet" />
                <svg width="16" height="16">
                  <Glyph of={kind} />
                </svg>
              </g>
            ))}
          </g>
        );
      })}
      {drawn.nodes.map(({ node, x, y, width, height }) => (
        <g key={node.id}>
          <rect
            x={x - width / 2}
            y={y - height / 2}
            width={width}
            height={height}
            rx="4"
            strokeWidth="1.5"
            className={BOXES[node.where]}
          />
          <text x={x} y={y + 4.5} textAnchor="middle" className="fill-ink">
            {nameOf(node)}
          </text>
        </g>
      ))}
    </svg>
  );
}

function kindsOf(edge: Edge): Happening[] {
  return [...new Set(edge.by.map((by) => by.kind as Happening))];
}
