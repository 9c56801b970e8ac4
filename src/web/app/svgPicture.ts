/** A drawing as a picture that a canvas can take. */
export async function pictureOfSvg(svg: string): Promise<HTMLImageElement> {
  const picture = new Image();
  picture.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  await picture.decode();
  return picture;
}

/** A canvas of so many pixels, white, with what draws on it; throws where the browser has none to give. */
export function whiteCanvas(
  widthPx: number,
  heightPx: number,
): { canvas: HTMLCanvasElement; context: CanvasRenderingContext2D } {
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(widthPx));
  canvas.height = Math.max(1, Math.round(heightPx));
  const context = canvas.getContext('2d');
  if (!context) throw new Error('no canvas');
  context.fillStyle = '#ffffff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  return { canvas, context };
}

/** A canvas as a PNG; throws where it is too large for the browser. */
export async function pngOf(canvas: HTMLCanvasElement): Promise<Blob> {
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (!blob) throw new Error('no picture');
  return blob;
}

/** What of its style a drawing needs where no style sheet of the page reaches it. */
const STYLES = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-opacity',
  'stroke-dasharray',
  'opacity',
] as const;

/** The bytes at an address as a data address, so that a drawing holds them itself. */
async function asData(address: string): Promise<string> {
  const blob = await (await fetch(address)).blob();
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(reader.error ?? new Error('no picture'));
    reader.readAsDataURL(blob);
  });
}

/** A drawing of the page by itself, as a file: with its styles, and with the pictures in it. */
export async function standaloneSvg(svg: SVGSVGElement, widthPx: number, heightPx: number): Promise<string> {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const [shown, copied] = [svg.querySelectorAll('*'), copy.querySelectorAll('*')];
  shown.forEach((element, n) => {
    const style = getComputedStyle(element);
    const own = copied[n];
    for (const property of STYLES) own?.setAttribute(property, style.getPropertyValue(property));
    own?.removeAttribute('class');
    own?.removeAttribute('style');
  });
  for (const image of copy.querySelectorAll('image')) {
    const address = image.getAttribute('href');
    if (address) image.setAttribute('href', await asData(address));
  }
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(widthPx));
  copy.setAttribute('height', String(heightPx));
  copy.removeAttribute('class');
  return new XMLSerializer().serializeToString(copy);
}
