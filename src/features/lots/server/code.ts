import qrcode from 'qrcode';

/** An address as a picture for a phone's camera; mud and scratches take a quarter of it. */
export const codePicture = (address: string): Promise<string> =>
  qrcode.toDataURL(address, { errorCorrectionLevel: 'Q', margin: 1, width: 264 });
