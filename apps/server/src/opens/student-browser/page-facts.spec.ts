import { readPage } from './page-facts.js';

const read = (html: string) => readPage(Buffer.from(html), 'https://a.example/dir/page', null).facts;

describe('the facts of a page', () => {
  it('are what a person would see', () => {
    const facts = read(
      '<title> Tide\n tables </title><style>p{}</style><script>var x</script><body><nav>Home</nav><h1>Tides</h1><p>High <b>water</b> at nine.</p><p hidden>secret</p><p style="display: none">also</p><noscript>no</noscript>',
    );
    expect(facts.title).toBe('Tide tables');
    expect(facts.firstLines).toEqual(['Tides', 'High water at nine.']);
    expect(facts.visibleCharacters).toBe(5 + 19);
    expect(facts.scripts).toBe(1);
  });

  it('count what is seen or heard without a script', () => {
    expect(
      read('<img src="a.png"><audio src="b.mp3"></audio><video></video><div hidden><img src="c.png"></div><img>').media,
    ).toBe(3);
  });

  it('count players that name what they play', () => {
    expect(
      read(
        '<video src="a.mp4"></video><audio><source src="b.mp3"><source src="b.ogg"></audio><video></video><source src="c"><div hidden><audio src="d"></audio></div>',
      ).players,
    ).toBe(3);
  });

  it('tell what may be the material from what is beside it or over it', () => {
    const facts = read(
      '<nav>Home</nav><main><p>12345</p><div role="dialog">cookies</div><aside>more</aside><div aria-modal="true">wall</div><p>67890</p></main>',
    );
    expect(facts.contentCharacters).toBe(10);
    expect(facts.visibleCharacters).toBe(10 + 'cookies'.length + 'more'.length + 'wall'.length);
  });

  it('hold its forms with their visible fields', () => {
    const facts = read(
      '<form method="POST" action="/in"><input type="hidden" name="t"><input name="user"><input type="password"><select></select><textarea></textarea><button>Sign in</button><input type="submit" value="Go"></form>',
    );
    expect(facts.forms).toEqual([
      {
        action: '/in',
        method: 'post',
        fields: ['text', 'password', 'select', 'textarea'],
        buttons: ['Sign in', 'Go'],
        filledCharacters: 0,
      },
    ]);
  });

  it('say where a page leads on by itself', () => {
    expect(read('<meta http-equiv="Refresh" content="0; URL=\'next\'">').refreshTo).toBe('https://a.example/dir/next');
    expect(read('<meta http-equiv="refresh" content="300">').refreshTo).toBeNull();
    expect(read('<meta http-equiv="refresh" content="3600;url=/later">').refreshTo).toBeNull();
  });

  it('leave out menus, heads and feet of the page, but not those of its text', () => {
    const facts = read(
      '<header>The harbour</header><nav>Home</nav><article><header><h1>Tides</h1></header>Twice a day<footer>by Ysolde</footer></article><footer>Imprint</footer>',
    );
    expect(facts.firstLines).toEqual(['Tides', 'Twice a day', 'by Ysolde']);
    expect(read('<header>Nothing but a head</header>')).toMatchObject({
      firstLines: ['Nothing but a head'],
      visibleCharacters: 18,
    });
  });

  it('leave out what style sheets and closed dialogs hide, and no more', () => {
    const facts = read(
      '<style>.gone, #off { display: none } @media print { .seen { display:none } } .seen:hover{visibility:hidden}</style><p class="big gone">a</p><p id="off">b</p><p class="seen">c</p><dialog>d</dialog><dialog open>e</dialog>',
    );
    expect(facts.firstLines).toEqual(['c', 'e']);
  });

  it('say where hidden fields would post themselves to', () => {
    const self = '<form method="post" action="/saml2/sso"><input type="hidden" name="SAMLRequest"></form>';
    expect(read(`<body onload="document.forms[0].submit()">${self}`).postsItselfTo).toBe('https://a.example/saml2/sso');
    expect(read(`${self}<script>document.forms[0].submit()</script>`).postsItselfTo).toBe(
      'https://a.example/saml2/sso',
    );
    expect(read(self).postsItselfTo).toBeNull();
  });

  it('count what a visitor could write into, and hold buttons and the picture for previews', () => {
    const facts = read(
      '<meta property="og:image" content="/p.png"><div contenteditable="true">We saw <b>eleven</b></div><div contenteditable="false">x</div><form method="post"><textarea>Seven seals</textarea></form><button>Save</button><span role="button">Share</span>',
    );
    expect(facts).toMatchObject({
      picture: 'https://a.example/p.png',
      editableCharacters: 12,
      buttons: ['Save', 'Share'],
    });
    expect(facts.forms[0]?.filledCharacters).toBe(11);
  });

  it('come with the links of the page, told from those of its menus', () => {
    const { links } = readPage(
      Buffer.from(
        '<nav><a href="/help">Help</a></nav><ul><li><a href="one">The  <b>first</b></a></li><li><a href="mailto:x@a.example">Mail</a></li><a>none</a></ul>',
      ),
      'https://a.example/dir/page',
      null,
    );
    expect(links).toEqual([
      { address: 'https://a.example/help', text: 'Help', inMenu: true },
      { address: 'https://a.example/dir/one', text: 'The first', inMenu: false },
      { address: 'mailto:x@a.example', text: 'Mail', inMenu: false },
    ]);
  });

  it('survive what is hardly a page', () => {
    expect(read('')).toMatchObject({ title: '', firstLines: [], visibleCharacters: 0 });
    expect(read('<p>a<p>b</div></table>').firstLines).toEqual(['a', 'b']);
    expect(read(`<p>${'x'.repeat(900)}`).firstLines[0]).toHaveLength(200);
  });
});
