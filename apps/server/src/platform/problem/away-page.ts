/** What a student reads while the server can't reach its database: plain words, nothing to load, tried again by itself. */
export const awayPolicy =
  "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'; base-uri 'none'; form-action 'none'";

export const awayHtml = `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><meta http-equiv="refresh" content="10">
<title>Back in a moment</title><meta name="robots" content="noindex"><style>:root{color-scheme:light dark}body{font:20px/1.5 system-ui,sans-serif;max-width:34rem;margin:15vh auto;padding:0 1.2rem}h1{font-size:1.7rem;line-height:1.2}</style></head>
<body><main><h1>This page can’t be shown just now</h1><p>The school’s server is busy with something else. This page tries again every ten seconds.</p><p>If it takes longer, tell your teacher.</p></main></body></html>
`;
