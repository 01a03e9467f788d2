// Before anything reads the address: a stroke too many in it ("//demo/setups"; a browser makes one of a backslash as
// well) is no place of its own.
const { pathname, search, hash } = window.location;
const meant = pathname.replace(/\/{2,}/g, '/');
if (meant !== pathname) window.history.replaceState(null, '', `${meant}${search}${hash}`);

export {};
