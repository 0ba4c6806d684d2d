/**
 * Pages of very different make. What a reader would call one thing repeated carries the same
 * `data-group`; these marks were set by hand before anything was run, and nothing reads them but the
 * test. A page without marks has no repeats.
 */
export const markedPages: Readonly<Record<string, string>> = {
  'a table with rows of links': `
    <main><h1>Tolls</h1><table class="tolls"><thead><tr><th>Boat</th><th>Length</th><th>Paid</th></tr></thead><tbody>
      <tr data-group="toll"><td><a href="/b/1">Marsh Heron</a></td><td>14</td><td>yes</td></tr>
      <tr data-group="toll"><td><a href="/b/2">Slow Answer</a></td><td>18</td><td>no</td></tr>
      <tr data-group="toll"><td><a href="/b/3">Tin Kettle</a> <em>late</em></td><td>9</td><td>yes</td></tr>
      <tr data-group="toll"><td><a href="/b/4">Elder Root</a></td><td>21</td><td>no</td></tr>
    </tbody></table></main>`,
  'nested lists': `
    <nav><ul>
      <li data-group="reach"><a href="/upper">Upper reach</a><ul><li><a href="/u/1">Aldermoor</a></li><li><a href="/u/2">Quarry Rise</a></li></ul></li>
      <li data-group="reach"><a href="/middle">Middle reach</a><ul><li><a href="/m/1">Saltings</a></li><li><a href="/m/2">Fen Drop</a></li><li><a href="/m/3">Bell Weir</a></li></ul></li>
      <li data-group="reach"><a href="/lower">Lower reach</a><ul><li><a href="/l/1">Sea Doors</a></li></ul></li>
    </ul></nav>`,
  'cards with optional parts': `
    <section class="boats"><h2>Boats in the basin</h2>
      <article class="boat" data-group="boat"><img src="a.png" alt="A narrow boat"><h3>Marsh Heron</h3><p>Out until noon.</p><span class="flag">Late</span></article>
      <article class="boat" data-group="boat"><h3>Slow Answer</h3><p>In the basin.</p></article>
      <article class="boat" data-group="boat"><img src="b.png" alt="A barge"><h3>Tin Kettle</h3></article>
      <article class="boat boat--sold" data-group="boat"><h3>Elder Root</h3><p>Sold.</p><a href="/elder">Papers</a></article>
    </section>`,
  'parts in different order': `
    <div class="board">
      <div class="tile" data-group="tile"><h4>Level</h4><b>1.2</b><svg viewBox="0 0 4 4"><path d="M0 0h4"/></svg></div>
      <div class="tile" data-group="tile"><svg viewBox="0 0 4 4"><path d="M0 1h4"/></svg><h4>Flow</h4><b>30</b></div>
      <div class="tile" data-group="tile"><b>6</b><h4>Boats</h4><svg viewBox="0 0 4 4"><path d="M0 2h4"/></svg></div>
    </div>`,
  'adverts between cards': `
    <div id="feed">
      <div class="post" data-group="post"><h3>Low water</h3><p>Until four.</p><a href="/n/1">More</a></div>
      <div class="advert"><iframe src="https://adverts.invalid/1"></iframe><small>Advert</small></div>
      <div class="post" data-group="post"><h3>Gate repair</h3><p>On Monday.</p><a href="/n/2">More</a></div>
      <ins class="advert-wide"><a href="https://adverts.invalid/2"><img src="x.png" alt=""></a></ins>
      <div class="post" data-group="post"><h3>New keeper</h3><p>At Saltings.</p><a href="/n/3">More</a></div>
      <div class="post" data-group="post"><h3>Regatta</h3><p>In June.</p></div>
      <div class="newsletter"><h3>By post</h3><form><input name="address"><button>Send</button></form></div>
    </div>`,
  'a grid of rows of columns': `
    <div class="container">
      <div class="row"><div class="col-6"><div class="panel" data-group="panel"><h3>Aldermoor</h3><p>2 boats</p></div></div><div class="col-6"><div class="panel" data-group="panel"><h3>Quarry Rise</h3><p>clear</p></div></div></div>
      <div class="row"><div class="col-6"><div class="panel" data-group="panel"><h3>Saltings</h3><p>1 boat</p></div></div><div class="col-6"><div class="panel" data-group="panel"><h3>Fen Drop</h3><p>shut</p></div></div></div>
    </div>`,
  'classes of looks only': `
    <main class="mx-auto p-4"><div class="grid gap-4">
      <div class="rounded p-4 bg-white" data-group="card"><div class="flex"><span class="text-lg">Aldermoor</span><span class="text-sm">2.1 m</span></div><p class="mt-2">Two boats</p></div>
      <div class="rounded p-4 bg-red" data-group="card"><div class="flex"><span class="text-lg">Quarry Rise</span><span class="text-sm">3.4 m</span></div><p class="mt-2">Shut</p></div>
      <div class="rounded p-4 bg-white" data-group="card"><div class="flex"><span class="text-lg">Saltings</span><span class="text-sm">1.6 m</span></div></div>
    </div><p class="mt-4">Levels are read each hour.</p><p class="mt-4">All heights are above the sill.</p></main>`,
  'talk that nests': `
    <section class="talk"><div class="say" data-group="say"><b>Oake</b><p>Who has the key?</p><div class="answers">
        <div class="say" data-group="say"><b>Fenwright</b><p>I have.</p></div>
        <div class="say" data-group="say"><b>Tarn</b><p>Not I.</p></div>
      </div></div>
      <div class="say" data-group="say"><b>Tarn</b><p>The gate sticks.</p></div>
      <div class="say" data-group="say"><b>Oake</b><p>Oil it.</p></div></section>`,
  'a form and prose': `
    <main><h1>Book a passage</h1><p>Book a day ahead.</p><p>Bring your papers.</p><p>Be there early.</p>
      <form><div class="field" data-group="field"><label for="b">Boat</label><input id="b"></div>
      <div class="field" data-group="field"><label for="l">Lock</label><select id="l"><option>Aldermoor</option><option>Saltings</option><option>Fen Drop</option></select></div>
      <div class="field" data-group="field"><label for="t">Time</label><input id="t" type="time"><small>24 hours</small></div>
      <button>Book</button></form></main>`,
  'a gallery and a foot of columns': `
    <header><nav><a class="link" href="/">Today</a><a class="link" href="/roster">Roster</a><a class="link" href="/tolls">Tolls</a></nav></header>
    <section><figure data-group="figure"><img src="1.jpg" alt="Lock"><figcaption>Aldermoor at dusk</figcaption></figure><figure data-group="figure"><img src="2.jpg" alt="Weir"><figcaption>Bell Weir</figcaption></figure><figure data-group="figure"><img src="3.jpg" alt="Boat"></figure></section>
    <footer><div class="column" data-group="column"><h4>Canal</h4><ul><li><a href="/a">About</a></li><li><a href="/b">Rules</a></li></ul></div>
    <div class="column" data-group="column"><h4>Help</h4><ul><li><a href="/c">Asking</a></li><li><a href="/d">Finding</a></li></ul></div></footer>`,
  'boxes without any class': `
    <div><div><div data-group="box"><h2>Monday</h2><ol><li>Oake</li><li>Tarn</li></ol></div><div data-group="box"><h2>Tuesday</h2><ol><li>Tarn</li></ol></div><div data-group="box"><h2>Wednesday</h2><ol><li>Fenwright</li><li>Oake</li><li>Tarn</li></ol></div></div><div><p>Shifts change at six.</p></div></div>`,
  'two kinds in one list': `
    <ul class="stream"><li class="arrival" data-group="arrival"><time>09:20</time><b>Marsh Heron</b><span>from the sea</span></li>
      <li class="alarm" data-group="alarm"><strong>High water</strong><button data-group="hear">Hear</button></li>
      <li class="arrival" data-group="arrival"><time>09:45</time><b>Slow Answer</b><span>from the hill</span></li>
      <li class="alarm" data-group="alarm"><strong>Gate open</strong><button data-group="hear">Hear</button></li>
      <li class="arrival" data-group="arrival"><time>10:10</time><b>Tin Kettle</b></li></ul>`,
  'nothing repeats': `
    <article><h1>How a lock works</h1><p>Boats go in.</p><p>Gates shut.</p><p>Water rises.</p><blockquote>Never hurry.</blockquote><aside><h2>See too</h2><p>The weir.</p></aside></article>`,
};
