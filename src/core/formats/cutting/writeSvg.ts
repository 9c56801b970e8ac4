import type { Outline } from '../../surface/outline';
import type { DrawnUnit } from './cutDrawing';

/** Text as XML takes it. */
export const escapeXml = (text: string): string => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);

/** A number of millimeters, to a thousandth. */
const mm = (value: number): string => String(Math.round(value * 1000) / 1000);

/** An outline as the data of a path, its rings closed. */
export function pathData(outline: Outline): string {
  return outline.map((ring) => `M${ring.map(([x, y]) => `${mm(x)} ${mm(y)}`).join('L')}Z`).join('');
}

/**
 * One unit as SVG in true millimeters: what is cut in the layer "cut", names and the edge of the unit in the layer
 * "marks", which a cutter is told to leave out.
 */
export function writeCutSvg(unit: DrawnUnit): string {
  const { widthMm, lengthMm } = unit;
  const cuts = unit.parts.map(
    ({ lines, number, name, nth }) =>
      `    <path id="part-${number}-${nth}" d="${pathData(lines)}"><title>${escapeXml(`${number}: ${name}`)}</title></path>`,
  );
  const names = unit.parts.map(({ xMm, yMm, widthMm: w, lengthMm: l, number }) => {
    const size = Math.min(8, w / 3, l / 2);
    return `    <text x="${mm(xMm + w / 2)}" y="${mm(yMm + l / 2 + size / 3)}" font-size="${mm(size)}" text-anchor="middle">${number}</text>`;
  });
  return `${[
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(widthMm)}mm" height="${mm(lengthMm)}mm" viewBox="0 0 ${mm(widthMm)} ${mm(lengthMm)}">`,
    `  <title>${escapeXml(unit.title)}</title>`,
    '  <g id="cut" fill="none" stroke="#000000" stroke-width="0.1">',
    ...cuts,
    '  </g>',
    '  <g id="marks" fill="#808080" font-family="sans-serif">',
    `    <rect x="0" y="0" width="${mm(widthMm)}" height="${mm(lengthMm)}" fill="none" stroke="#808080" stroke-width="0.2"/>`,
    ...names,
    '  </g>',
    '</svg>',
  ].join('\n')}\n`;
}
