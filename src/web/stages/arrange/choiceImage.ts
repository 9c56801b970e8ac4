import { pictureOfSvg, pngOf, standaloneSvg, whiteCanvas } from '../../app/svgPicture';

/** One of the two looks as it goes onto the picture. */
export interface ChoiceOne {
  svg: SVGSVGElement;
  title: string;
  /** What it is made of and comes to. */
  facts: string;
  note: string;
}

/** Sizes of the picture, px: wide enough for a phone's screen held across. */
const WIDE = 1600;
const MARGIN = 48;
const PICTURE_HIGH = 760;
const LINE = 34;

/** A text in lines no wider than so many pixels. */
export function wrapped(text: string, widthPx: number, measure: (line: string) => number): string[] {
  const lines: string[] = [];
  for (const word of text.split(/\s+/).filter((part) => part !== '')) {
    const last = lines.at(-1);
    if (last !== undefined && measure(`${last} ${word}`) <= widthPx) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}

/** Two looks side by side as a picture for whoever has a say: name, drawing, what it comes to, a note, a box to tick. */
export async function choiceImage(heading: string, two: readonly ChoiceOne[]): Promise<Blob> {
  const family = getComputedStyle(document.body).fontFamily;
  const wide = (WIDE - MARGIN * (two.length + 1)) / two.length;
  const measuring = whiteCanvas(1, 1).context;
  measuring.font = `24px ${family}`;
  const notes = two.map(({ note }) => wrapped(note, wide, (line) => measuring.measureText(line).width));
  const lines = Math.max(0, ...notes.map((of) => of.length));
  const { canvas, context } = whiteCanvas(WIDE, MARGIN * 3 + 60 + PICTURE_HIGH + LINE * (lines + 3));
  const write = (text: string, x: number, y: number, font: string) => {
    context.font = `${font} ${family}`;
    context.fillStyle = '#1f2b3a';
    context.fillText(text, x, y);
  };
  write(heading, MARGIN, MARGIN + 14, '24px');
  for (const [n, { svg, title, facts }] of two.entries()) {
    const x = MARGIN + n * (wide + MARGIN);
    write(title, x, MARGIN + 66, 'bold 32px');
    const { width, height } = svg.viewBox.baseVal;
    const scale = Math.min(wide / width, PICTURE_HIGH / height);
    const picture = await pictureOfSvg(await standaloneSvg(svg, width * scale, height * scale));
    const top = MARGIN + 90;
    context.fillStyle = '#f7f5ef';
    context.fillRect(x, top, wide, PICTURE_HIGH);
    context.drawImage(
      picture,
      x + (wide - width * scale) / 2,
      top + PICTURE_HIGH - height * scale,
      width * scale,
      height * scale,
    );
    let y = top + PICTURE_HIGH + LINE + 6;
    write(facts, x, y, '24px');
    for (const line of notes[n] ?? []) {
      y += LINE;
      write(line, x, y, '24px');
    }
    context.strokeStyle = '#1f2b3a';
    context.lineWidth = 2;
    const box = top + PICTURE_HIGH + LINE * (lines + 2) + 4;
    context.strokeRect(x, box - 20, 24, 24);
    write('this one', x + 36, box, '24px');
  }
  return pngOf(canvas);
}
