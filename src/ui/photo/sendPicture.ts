import { fetchJson } from '../door/fetchJson';

/** Sends a picture as its bytes. @param address of the API that takes it */
export const sendPicture = <Answer>(address: string, file: File): Promise<Answer> =>
  fetchJson<Answer>(address, {
    method: 'POST',
    body: file,
    headers: { 'content-type': file.type === '' ? 'application/octet-stream' : file.type },
  });
