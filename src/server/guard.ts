/** Why a call is turned away before its body is read, or null: a page of another site may not drive the server, nor a form. */
export function strangerAt({ headers, url }: Pick<Request, 'headers' | 'url'>): Turned | null {
  const site = headers.get('sec-fetch-site');
  const origin = headers.get('origin');
  const isForeign = site !== null ? site !== 'same-origin' && site !== 'none' : origin !== null && !isOwn(origin);
  if (isForeign) return { status: 403, sentence: 'Only pages of this server may ask it to plan.' };
  const type = headers.get('content-type')?.split(';')[0]?.trim().toLowerCase();
  return type === 'application/json'
    ? null
    : { status: 415, sentence: 'Send the body as JSON, with the header "content-type: application/json".' };

  function isOwn(text: string): boolean {
    const host = headers.get('host') ?? new URL(url).host;
    return URL.canParse(text) && new URL(text).host === host;
  }
}

export interface Turned {
  readonly status: 403 | 415;
  readonly sentence: string;
}
