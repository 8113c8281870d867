// The one place that posts: with the page's token, as JSON or as a file.
const token = document.querySelector<HTMLMetaElement>('meta[name=lumbeck-token]')?.content ?? '';

export const post = (address: string, body?: object): Promise<Response> => fetch(address, {
  method: 'POST',
  headers: { 'Content-Type': 'application/json', 'X-Lumbeck-Token': token },
  body: body === undefined ? null : JSON.stringify(body),
});

/** Sends a file through a request that was given its ears: only such a request tells how far it is. */
export function postFile(request: XMLHttpRequest, address: string, file: File): void {
  request.open('POST', address);
  request.setRequestHeader('X-Lumbeck-Token', token);
  request.setRequestHeader('Content-Type', 'application/octet-stream');
  request.send(file);
}
