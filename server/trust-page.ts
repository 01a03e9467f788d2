import { createHash } from 'node:crypto';
import { Router } from 'express';

/** Where a phone is told how it comes to trust this computer, and where it gets what it has to trust. */
export const TRUST_PATH = '/trust';
const FILE = 'zevrin-authority.crt';

const STYLE = `body{font:100%/1.5 system-ui,sans-serif;max-width:38rem;margin:0 auto;padding:1rem;color:#161c19;background:#f6f4ee}
a.main{display:inline-block;padding:.8rem 1.2rem;border-radius:.5rem;background:#1d4f43;color:#fff;font-weight:600;text-decoration:none}
li{margin:.4rem 0}@media(prefers-color-scheme:dark){body{color:#ecebe4;background:#141816}a{color:#9fd3c3}}`;
const POLICY = `default-src 'none'; style-src 'sha256-${createHash('sha256').update(STYLE).digest('base64')}'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'`;

const page = (secure: string, plain: string) => `<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Zevrin on this phone</title><style>${STYLE}</style></head>
<body>
<h1>Zevrin on this phone</h1>
<p>A phone keeps a page for use without a network only when it trusts where the page comes from. Here that is a computer in your own network, so you tell the phone once.</p>
<p><a class="main" href="${TRUST_PATH}/${FILE}">1. Get the certificate</a></p>
<h2>2. Tell the phone</h2>
<h3>iPhone, iPad</h3>
<ol><li>Open it in Safari and allow the profile.</li><li>Settings, General, VPN &amp; Device Management: install the profile “Zevrin on …”.</li><li>Settings, General, About, Certificate Trust Settings: switch it on.</li></ol>
<h3>Android</h3>
<ol><li>Settings, Security (look for “certificate”): Install a certificate, CA certificate.</li><li>Choose the file that you got. The phone warns you, as it should.</li></ol>
<p>It is good for addresses of private networks only. Take it out again in the same place when you no longer need it.</p>
<p><a class="main" href="${secure}">3. Open Zevrin</a></p>
<p>Then put it on the home screen: in Safari by Share, in Chrome by the menu.</p>
<p>Without all this: <a href="${plain}">open it as it is</a>. Everything works, but it is gone when the network is.</p>
</body>
</html>
`;

/**
 * The page and the certificate of the authority. `secure` and `plain` give the addresses of the app for who asked under
 * a host name.
 */
export function trustPages(
  authority: string,
  secure: (host: string) => string,
  plain: (host: string) => string,
): Router {
  const router = Router();
  router.get(TRUST_PATH, (request, response) => {
    // Who asked says under which name; nothing but an address or a name gets into the page.
    const host = /^[\w.-]+$/.test(request.hostname) ? request.hostname : 'localhost';
    response.setHeader('Content-Security-Policy', POLICY);
    response.setHeader('Cache-Control', 'no-store');
    response.type('html').send(page(secure(host), plain(host)));
  });
  router.get(`${TRUST_PATH}/${FILE}`, (_request, response) => {
    response.setHeader('Content-Disposition', `attachment; filename="${FILE}"`);
    response.type('application/x-x509-ca-cert').send(authority);
  });
  return router;
}
