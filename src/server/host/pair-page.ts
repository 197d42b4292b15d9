export interface PairPage {
  readonly code: string
  readonly name: string
  /** Why it was not let in, in words; empty at first. */
  readonly trouble: string
}

/** The page that a stranger's device sees, and the only one. */
export function pairPage({ code, name, trouble }: PairPage): string {
  return plainPage(
    'Connect this phone',
    `<h1>Connect this phone</h1>
<p>On the computer where Seligo runs, open Settings, then Phones, and show a code. It’s good for two minutes.</p>
${trouble === '' ? '' : `<p role="alert">${escaped(trouble)}</p>`}
<form method="post" action="/pair">
<label for="code">Code</label>
<input id="code" name="code" value="${escaped(code)}" maxlength="20" autocomplete="one-time-code" autocapitalize="characters" spellcheck="false" required${code === '' ? ' autofocus' : ''}>
<label for="name">What this phone is called</label>
<input id="name" name="name" value="${escaped(name)}" maxlength="60" required>
<button type="submit">Connect</button>
</form>`,
  )
}

/**
 * A page of plain HTML that needs no script, no picture and no font: nothing else has to be given out, and nothing else has to
 * work. The inks are those of the collection (web/shell/tokens.css).
 */
export function plainPage(title: string, body: string): string {
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1, viewport-fit=cover">
<meta name="robots" content="noindex">
<link rel="icon" href="data:,">
<title>${escaped(title)} - Seligo</title>
<style>
:root { color-scheme: light dark; --tray: #eceef0; --raised: #f8f9fa; --ink: #22262b; --quiet: #4a525b; --line: #7c868f; --primary: #0e5a64; --on: #fff; --alarm: #9c2438 }
@media (prefers-color-scheme: dark) { :root { --tray: #14171a; --raised: #1d2126; --ink: #e8ebee; --quiet: #aab3bc; --line: #77818b; --primary: #7cc4cc; --on: #0c1b1d; --alarm: #f0929f } }
* { box-sizing: border-box }
body { margin: 0; min-height: 100vh; display: grid; place-items: center; padding: max(20px, env(safe-area-inset-top)) 20px max(20px, env(safe-area-inset-bottom)); background: var(--tray); color: var(--ink); font: 17px/1.45 system-ui, sans-serif }
main { width: min(480px, 100%); padding: 26px 22px; background: var(--raised); border: 1px solid var(--line); border-radius: 8px }
h1 { margin: 0 0 8px; font-size: 25px; line-height: 1.2 }
p { margin: 0 0 14px; color: var(--quiet) }
p strong { color: var(--ink) }
label { display: block; margin: 14px 0 4px; font-weight: 600; font-size: 15px }
input { width: 100%; min-height: 52px; padding: 8px 12px; font: inherit; color: inherit; background: transparent; border: 1.5px solid var(--line); border-radius: 6px }
input:focus-visible, button:focus-visible { outline: 3px solid var(--primary); outline-offset: 2px }
#code { font: 600 27px/1.2 ui-monospace, monospace; letter-spacing: .14em; text-transform: uppercase }
button { width: 100%; min-height: 54px; margin-top: 22px; font: inherit; font-weight: 650; color: var(--on); background: var(--primary); border: 1.5px solid var(--primary); border-radius: 6px }
button.other { color: var(--primary); background: transparent }
form + form { margin-top: 22px; padding-top: 16px; border-top: 1px solid var(--line) }
form p { margin: 0 } form p + button { margin-top: 10px }
.why { overflow-wrap: anywhere }
[role=alert] { padding: 10px 12px; margin: 0 0 8px; color: var(--ink); border-left: 4px solid var(--alarm) }
</style>
</head>
<body>
<main>
${body}
</main>
</body>
</html>
`
}

export function escaped(text: string): string {
  return text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`)
}
