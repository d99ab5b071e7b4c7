import QRCode from 'qrcode';

/** What is scanned, as rows of dark (1) and light (0). */
export function codePicture(text: string): string[] {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  return Array.from({ length: modules.size }, (_, y) =>
    Array.from({ length: modules.size }, (_each, x) => (modules.get(y, x) ? '1' : '0')).join(''),
  );
}
