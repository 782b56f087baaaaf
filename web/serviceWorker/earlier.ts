/** A file that is put by, as the build lists it. */
export interface Listed {
  readonly url: string;
  readonly revision: string | null;
}

const isListed = (url: string, listed: readonly Listed[]): boolean => {
  const { pathname } = new URL(url);
  return listed.some((each) => `/${each.url}` === pathname);
};

/** Whether a file of the version before is none of this one: its name has its content's hash in it, so that both can stand side by side. */
export const isEarlier = (url: string, listed: readonly Listed[]): boolean =>
  new URL(url).pathname.startsWith('/assets/') && !isListed(url, listed);

/** Whether a file is asked for by a page of another version. */
export const isOfEarlierPage = (url: string, origin: string, listed: readonly Listed[]): boolean =>
  new URL(url).origin === origin && isEarlier(url, listed);
