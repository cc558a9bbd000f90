const LAYERS = 'canvas, svg';

/** Colours of the page's theme, put in place of their names: a file has no theme. */
function withColours(text: string): string {
  const styles = getComputedStyle(document.documentElement);
  return text.replace(/var\((--[\w-]+)\)/g, (_, name: string) => styles.getPropertyValue(name).trim());
}

/** The picture inside an element as one SVG: its vector layers, and what was painted as pixels as an image. */
export function pictureAsSvg(element: HTMLElement, title: string): string {
  const { width, height, left, top } = element.getBoundingClientRect();
  const layers = [...element.querySelectorAll<HTMLCanvasElement | SVGSVGElement>(LAYERS)].filter(
    (one) => !one.parentElement?.closest('svg'),
  );
  const parts = layers.map((layer) => {
    const box = layer.getBoundingClientRect();
    const place = `x="${box.left - left}" y="${box.top - top}" width="${box.width}" height="${box.height}"`;
    if (layer instanceof HTMLCanvasElement) return `<image ${place} href="${layer.toDataURL('image/png')}"/>`;
    const copy = layer.cloneNode(true) as SVGSVGElement;
    copy.removeAttribute('style');
    for (const [name, value] of Object.entries({ x: box.left - left, y: box.top - top }))
      copy.setAttribute(name, String(value));
    return new XMLSerializer().serializeToString(copy);
  });
  const ground = getComputedStyle(document.body).backgroundColor;
  const font = getComputedStyle(document.body).fontFamily.replace(/"/g, "'");
  return withColours(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" font-family="${font}">` +
      `<title>${title.replace(/[<&]/g, '')}</title><rect width="100%" height="100%" fill="${ground}"/>${parts.join('')}</svg>`,
  );
}

/** The picture inside an element as a file: vectors, or pixels at twice the size. @throws when there is none */
export async function savePicture(
  element: HTMLElement,
  title: string,
  format: 'svg' | 'png',
  save: (blob: Blob, name: string) => void,
): Promise<void> {
  const svg = new Blob([pictureAsSvg(element, title)], { type: 'image/svg+xml' });
  const name = title.replace(/[^\w -]+/g, '').trim() || 'picture';
  if (format === 'svg') return save(svg, `${name}.svg`);
  const image = new Image();
  const address = URL.createObjectURL(svg);
  await new Promise((resolve, reject) => {
    image.onload = resolve;
    image.onerror = () => reject(new Error('The picture could not be drawn as pixels.'));
    image.src = address;
  });
  const canvas = document.createElement('canvas');
  canvas.width = image.width * 2;
  canvas.height = image.height * 2;
  canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
  URL.revokeObjectURL(address);
  const png = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (!png) throw new Error('The picture could not be drawn as pixels.');
  save(png, `${name}.png`);
}
