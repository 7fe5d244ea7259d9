/**
 * An SVG as a PNG of twice its size, for whoever needs points instead of lines.
 * @example await pngOf('<svg xmlns="http://www.w3.org/2000/svg" width="10" height="10"/>')
 */
export async function pngOf(svg: string): Promise<Blob> {
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  await image.decode();
  const canvas = new OffscreenCanvas(image.width * 2, image.height * 2);
  const context = canvas.getContext('2d');
  if (context) {
    context.fillStyle = '#ffffff';
    context.fillRect(0, 0, canvas.width, canvas.height);
    context.drawImage(image, 0, 0, canvas.width, canvas.height);
  }
  return canvas.convertToBlob({ type: 'image/png' });
}
