/** How the times of the five main computations grow with what they work on, as small charts in docs/growth.svg. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';

import { auditOf } from './audit';
import { fitOf } from './fit';
import { STROKES, strokesOf } from './keystroke';
import { medianTimes } from './measure';
import { mineOf } from './mine';
import { scanOf } from './scan';

interface Grown {
  readonly title: string;
  readonly over: string;
  readonly sizes: readonly number[];
  readonly make: (size: number) => () => void;
}

const CHARTS: readonly Grown[] = [
  {
    title: `${STROKES.toLocaleString('en')} keystrokes`,
    over: 'shortcuts',
    sizes: [1_000, 3_000, 10_000, 30_000, 100_000],
    make: strokesOf,
  },
  { title: 'Scan', over: 'characters', sizes: [100_000, 300_000, 1_000_000, 2_000_000, 4_000_000], make: scanOf },
  { title: 'Check', over: 'shortcuts', sizes: [1_000, 3_000, 10_000, 30_000, 50_000], make: auditOf },
  { title: 'Five places', over: 'shortcuts', sizes: [1_000, 3_000, 10_000, 30_000, 50_000], make: fitOf },
  { title: 'Find phrases', over: 'characters', sizes: [300_000, 1_000_000, 2_000_000, 5_000_000], make: mineOf },
];
const ROUNDS = 7;

/** Measures and draws them; each size in turn with the others of its chart. */
export function growth(): void {
  const charts = CHARTS.map(({ title, over, sizes, make }) => {
    const times = medianTimes(ROUNDS, sizes.map(make));
    console.log(`${title}: ${sizes.map((size, i) => `${size} ${over} ${times[i]!.toFixed(1)} ms`).join(', ')}`);
    return { title, over, points: sizes.map((size, i) => [size, times[i]!] as const) };
  });
  writeFileSync(join(__dirname, '../docs/growth.svg'), drawn(charts));
}

interface Chart {
  readonly title: string;
  readonly over: string;
  readonly points: readonly (readonly [size: number, time: number])[];
}

const WIDTH = 200;
const HEIGHT = 190;
const PLOT = { left: 16, top: 46, width: 168, height: 96 };

/** Both scales by powers of ten; the dashed line grows as the size does. */
function drawn(charts: readonly Chart[]): string {
  const inside = charts.map((chart, index) => `<g transform="translate(${index * WIDTH} 0)">${one(chart)}</g>`);
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${charts.length * WIDTH} ${HEIGHT}" font-family="sans-serif" font-size="11" fill="#0a3a42">
<rect width="100%" height="100%" fill="#f4f7f6"/>
${inside.join('\n')}
</svg>
`;
}

function one({ title, over, points }: Chart): string {
  const [[first, least], [last, most]] = [points[0]!, points.at(-1)!];
  const [from, decades] = [Math.log10(first), Math.log10(last / first)];
  // What grows as its size does would end here; the scale leaves room for it.
  const linear = least * (last / first);
  const [low, high] = [Math.log10(Math.min(...points.map(([, time]) => time))), Math.log10(Math.max(linear, most))];
  const at = (size: number, time: number) =>
    [
      (PLOT.left + ((Math.log10(size) - from) / decades) * PLOT.width).toFixed(1),
      (PLOT.top + (1 - (Math.log10(time) - low) / (high - low)) * PLOT.height).toFixed(1),
    ].join(',');
  const dots = points.map(([size, time]) => {
    const [x, y] = at(size, time).split(',');
    return `<circle cx="${x}" cy="${y}" r="3.5" fill="#ffcb2b" stroke="#0a3a42" stroke-width="1.5"/>`;
  });
  return [
    `<text x="${PLOT.left}" y="20" font-size="13" font-weight="bold">${title}</text>`,
    `<text x="${PLOT.left}" y="36">${tell(least)} to ${tell(most)}</text>`,
    `<path d="M${PLOT.left} ${PLOT.top}v${PLOT.height}h${PLOT.width}" fill="none" stroke="#aebdbf"/>`,
    `<polyline points="${at(first, least)} ${at(last, linear)}" fill="none" stroke="#3d5f65" stroke-dasharray="3 3"/>`,
    `<polyline points="${points.map(([size, time]) => at(size, time)).join(' ')}" fill="none" stroke="#0a3a42" stroke-width="2"/>`,
    ...dots,
    `<text x="${PLOT.left}" y="160">${first.toLocaleString('en')}</text>`,
    `<text x="${PLOT.left + PLOT.width}" y="160" text-anchor="end">${last.toLocaleString('en')}</text>`,
    `<text x="${PLOT.left + PLOT.width / 2}" y="176" text-anchor="middle">${over}</text>`,
  ].join('\n');
}

function tell(time: number): string {
  return time >= 1_000 ? `${(time / 1_000).toFixed(1)} s` : `${time >= 10 ? Math.round(time) : time.toFixed(1)} ms`;
}
