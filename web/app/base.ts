/** A path of the site as one of the app: built for a folder of a site, the app begins there. */
export function withinBase(pathname: string, base = import.meta.env.BASE_URL): string {
  return pathname.startsWith(base) ? `/${pathname.slice(base.length)}` : pathname;
}
