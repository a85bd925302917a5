import { readPage } from './page-facts.js';

const read = (html: string) => readPage(Buffer.from(html), 'https://a.example/dir/page', null).facts;

describe('the facts of a page', () => {
  it('are what a person would see', () => {
    const facts = read('<title> Tide\n tables </title><style>p{}</style><script>var x</script><body><nav>Home</nav><h1>Tides</h1><p>High <b>water</b> at nine.</p><p hidden>secret</p><p style="display: none">also</p><noscript>no</noscript>');
    expect(facts.title).toBe('Tide tables');
    expect(facts.firstLines).toEqual(['Home', 'Tides', 'High water at nine.']);
    expect(facts.visibleCharacters).toBe(4 + 5 + 19);
    expect(facts.scripts).toBe(1);
  });

  it('count what is seen or heard without a script', () => {
    expect(read('<img src="a.png"><audio src="b.mp3"></audio><video></video><div hidden><img src="c.png"></div><img>').media).toBe(3);
  });

  it('hold its forms with their visible fields', () => {
    const facts = read('<form method="POST" action="/in"><input type="hidden" name="t"><input name="user"><input type="password"><select></select><textarea></textarea><button>Sign in</button><input type="submit" value="Go"></form>');
    expect(facts.forms).toEqual([{ action: '/in', method: 'post', fields: ['text', 'password', 'select', 'textarea'], buttons: ['Sign in', 'Go'], filledCharacters: 0 }]);
  });

  it('say where a page leads on by itself', () => {
    expect(read('<meta http-equiv="Refresh" content="0; URL=\'next\'">').refreshTo).toBe('https://a.example/dir/next');
    expect(read('<meta http-equiv="refresh" content="300">').refreshTo).toBeNull();
    expect(read('<meta http-equiv="refresh" content="3600;url=/later">').refreshTo).toBeNull();
  });

  it('survive what is hardly a page', () => {
    expect(read('')).toMatchObject({ title: '', firstLines: [], visibleCharacters: 0 });
    expect(read('<p>a<p>b</div></table>').firstLines).toEqual(['a', 'b']);
    expect(read(`<p>${'x'.repeat(900)}`).firstLines[0]).toHaveLength(200);
  });
});
