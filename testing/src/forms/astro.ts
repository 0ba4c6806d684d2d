import { type Form, mended } from './form';

/** The package file of an Astro project that has parts of the other frameworks. */
export const astroPackages = JSON.stringify({
  dependencies: {
    astro: '^5.0.0',
    '@astrojs/react': '^4.0.0',
    react: '^19.0.0',
    '@astrojs/vue': '^5.0.0',
    vue: '^3.5.0',
    '@astrojs/svelte': '^7.0.0',
    svelte: '^5.0.0',
    nanostores: '^1.0.0',
    '@nanostores/react': '^1.0.0',
  },
});

const project = (files: Form['files']): Form['files'] => ({
  'package.json': astroPackages,
  'astro.config.mjs':
    "import { defineConfig } from 'astro/config';\nimport react from '@astrojs/react';\nimport vue from '@astrojs/vue';\nimport svelte from '@astrojs/svelte';\nexport default defineConfig({ integrations: [react(), vue(), svelte()] });\n",
  ...Object.fromEntries(Object.entries(files).map(([name, text]) => [`src/${name}`, text])),
});

/** A file of Astro: its top and its markup. */
const astro = (top: string, markup: string): string => `---\n${top}\n---\n${markup}\n`;

/** Faults as they are written in Astro, with parts of other frameworks. */
export const astroForms: readonly Form[] = [
  mended({
    rule: 'prop-missing',
    form: 'a required prop of Props that is read and one use leaves out',
    files: project({
      'pages/index.astro': astro(
        "import Card from '../components/Card.astro';",
        '<Card title="a" />\n<hr>\n<hr>\n<hr>\n<main>\n¶<Card /></main>',
      ),
      'components/Card.astro': astro('interface Props { title: string }\nconst { title } = Astro.props;', '<h2>{title.toUpperCase()}</h2>'),
    }),
    by: [['<main>\n<Card />', '<main>\n<Card title="b" />']],
  }),
  mended({
    rule: 'prop-unknown',
    form: 'a prop that the part does not take',
    files: project({
      'pages/index.astro': astro("import Card from '../components/Card.astro';", '<Card title="a"\n ¶colour="blue" />'),
      'components/Card.astro': astro('interface Props { title: string }\nconst { title } = Astro.props;', '<h2>{title}</h2>'),
    }),
    by: [['\n colour="blue"', '']],
  }),
  mended({
    rule: 'prop-spelt',
    form: 'a prop of an island is written with hyphens',
    files: project({
      'pages/index.astro': astro("import Dial from '../components/Dial.jsx';", '<Dial client:load\n ¶start-at={4} />'),
      'components/Dial.jsx':
        "import { useState } from 'react';\nexport default function Dial({ startAt = 0 }) {\n  const [n, setN] = useState(startAt);\n  return <button onClick={() => setN(n + 1)}>{n}</button>;\n}\n",
    }),
    or: ['prop-unknown'],
    by: [['start-at', 'startAt']],
  }),
  mended({
    rule: 'prop-kind',
    form: 'a list is given as a text',
    files: project({
      'pages/index.astro': astro("import Tags from '../components/Tags.astro';", '<Tags\n ¶all="oak, elm" />'),
      'components/Tags.astro': astro(
        'interface Props { all: string[] }\nconst { all } = Astro.props;',
        '<ul>{all.map((one) => <li>{one}</li>)}</ul>',
      ),
    }),
    by: [['all="oak, elm"', "all={['oak', 'elm']}"]],
  }),
  mended({
    rule: 'default-lacking',
    form: 'an optional prop is read as if it were given',
    files: project({
      'pages/index.astro': astro("import Tags from '../components/Tags.astro';", "<Tags all={['oak']} />\n<hr>\n<Tags />"),
      'components/Tags.astro': astro(
        'interface Props { all?: string[] }\nconst { all } = Astro.props;',
        '<ul>\n¶{all.map((one) => <li>{one}</li>)}</ul>',
      ),
    }),
    or: ['prop-missing'],
    by: [['const { all }', 'const { all = [] }']],
  }),
  mended({
    rule: 'slot-nowhere',
    form: 'content for a slot that the layout does not have',
    files: project({
      'pages/index.astro': astro(
        "import Base from '../layouts/Base.astro';",
        '<Base>\n ¶<nav slot="margin">side</nav>\n <p>text</p></Base>',
      ),
      'layouts/Base.astro': astro('', '<html lang="en"><body><slot name="aside" /><slot /></body></html>'),
    }),
    by: [['slot="margin"', 'slot="aside"']],
  }),
  mended({
    rule: 'slot-nowhere',
    form: 'content in a part without a slot',
    files: project({
      'pages/index.astro': astro("import Note from '../components/Note.astro';", '<main>\n¶<Note>Deep water</Note></main>'),
      'components/Note.astro': astro('', '<aside>Note</aside>'),
    }),
    by: [['<aside>Note</aside>', '<aside><slot /></aside>']],
  }),
  mended({
    rule: 'slot-shape',
    form: 'a function in a part whose slot is rendered as markup',
    files: project({
      'pages/index.astro': astro(
        "import Rows from '../components/Rows.astro';",
        "<Rows items={['a']}>\n ¶{(item) => <b>{item}</b>}\n</Rows>",
      ),
      'components/Rows.astro': astro('const { items } = Astro.props;', '<ul>{items.map((item) => <li>{item}<slot /></li>)}</ul>'),
    }),
    or: ['slot-nowhere'],
    by: [['{item}<slot />', "<Fragment set:html={Astro.slots.render('default', [item])} />"]],
  }),
  mended({
    rule: 'layer-crossed',
    form: 'a part with a click is never started',
    files: project({
      'pages/index.astro': astro("import Dial from '../components/Dial.svelte';", '<h1>a</h1>\n¶<Dial />'),
      'components/Dial.svelte': '<script>\n  let n = $state(0);\n</script>\n<button onclick={() => n++}>{n}</button>\n',
    }),
    by: [['<Dial />', '<Dial client:visible />']],
  }),
  mended({
    rule: 'layer-crossed',
    form: 'a function of the top is given to a started part',
    files: project({
      'pages/index.astro': astro(
        "import Dial from '../components/Dial.jsx';\nconst say = (n: number) => `${n} turns`;",
        '<Dial client:load\n ¶format={say} />',
      ),
      'components/Dial.jsx':
        "import { useState } from 'react';\nexport default function Dial({ format }) {\n  const [n, setN] = useState(0);\n  return <button onClick={() => setN(n + 1)}>{format ? format(n) : n}</button>;\n}\n",
    }),
    by: [['\n format={say}', '']],
  }),
  mended({
    rule: 'layer-crossed',
    form: 'a part of the page bears a mark of the browser',
    files: project({
      'pages/index.astro': astro("import Card from '../components/Card.astro';", '<h1>a</h1>\n¶<Card client:idle />'),
      'components/Card.astro': astro('', '<b>card</b>'),
    }),
    by: [['<Card client:idle />', '<Card />']],
  }),
  mended({
    rule: 'layer-crossed',
    form: 'the storage of the browser is read at the top',
    files: project({
      'pages/index.astro': astro("¶const theme = localStorage.getItem('theme') ?? 'light';", '<html class={theme}><body>a</body></html>'),
    }),
    by: [["localStorage.getItem('theme') ?? 'light'", "Astro.cookies.get('theme')?.value ?? 'light'"]],
  }),
  mended({
    rule: 'layer-crossed',
    form: 'an instance of a class of the project is given to a started part',
    files: project({
      'lib/money.ts': 'export class Money {\n  constructor(readonly pence: number) {}\n  text() { return `£${this.pence / 100}`; }\n}\n',
      'pages/index.astro': astro(
        "import Price from '../components/Price.vue';\nimport { Money } from '../lib/money';\nconst price = new Money(420);",
        '<Price client:load\n ¶price={price} />',
      ),
      'components/Price.vue':
        '<script setup>\nconst props = defineProps({ price: Object });\n</script>\n<template><b>{{ props.price.text() }}</b></template>\n',
    }),
    by: [
      ['price={price}', 'price={{ text: price.text() }}'],
      ['props.price.text()', 'props.price.text'],
    ],
  }),
  mended({
    rule: 'name-unknown',
    form: 'the markup reads a name that the top does not declare',
    files: project({ 'pages/index.astro': astro("const title = 'Weir';", '<h1>{title}</h1>\n<p>\n¶{subtitle}</p>') }),
    by: [['{subtitle}', '{title}']],
  }),
  mended({
    rule: 'name-unknown',
    form: 'a script looks for a class that no markup has',
    files: project({
      'pages/index.astro': astro(
        '',
        '<button class="menu-button">menu</button>\n<script>\n  ¶document.querySelector(".menu-btn").addEventListener("click", () => document.body.classList.toggle("open"));\n</script>',
      ),
    }),
    by: [['.menu-btn', '.menu-button']],
  }),
  mended({
    rule: 'component-unknown',
    form: 'a part is used without being imported',
    files: project({
      'pages/index.astro': astro('', '<h1>a</h1>\n¶<Card />'),
      'components/Card.astro': astro('', '<b>card</b>'),
    }),
    by: [['---\n\n---', "---\nimport Card from '../components/Card.astro';\n---"]],
  }),
  mended({
    rule: 'handler-missing',
    form: 'an element names a function of a bundled script',
    files: project({
      'pages/index.astro': astro(
        '',
        '<p>a</p>\n¶<button onclick="toggleMenu()">menu</button>\n<script>\n  function toggleMenu() { document.body.classList.toggle("open"); }\n</script>',
      ),
    }),
    or: ['layer-crossed', 'name-unknown'],
    by: [['<script>', '<script is:inline>']],
  }),
  mended({
    rule: 'channel-unpaired',
    form: 'an event of the document under two spellings, from a Vue part to a script',
    files: project({
      'pages/index.astro': astro(
        "import Pick from '../components/Pick.vue';",
        '<Pick client:load /><output id="out"></output>\n<script>\n  document.addEventListener("seat-picked", () => { document.getElementById("out")!.textContent = "picked"; });\n</script>',
      ),
      'components/Pick.vue':
        '<script setup>\nfunction pick() {\n  ¶document.dispatchEvent(new CustomEvent("seat:picked"));\n}\n</script>\n<template><button @click="pick">pick</button></template>\n',
    }),
    by: [['seat:picked', 'seat-picked']],
  }),
  mended({
    rule: 'context-missing',
    form: 'a part takes a context that another island provides',
    files: project({
      'pages/index.astro': astro(
        "import Zone from '../components/Zone.jsx';\nimport Count from '../components/Count.jsx';",
        '<Zone client:load>\n <Count client:load /></Zone>',
      ),
      'components/tally.js': "import { createContext } from 'react';\nexport const Tally = createContext(null);\n",
      'components/Zone.jsx':
        "import { useState } from 'react';\nimport { Tally } from './tally.js';\nexport default function Zone({ children }) {\n  const [n, setN] = useState(0);\n  return <Tally.Provider value={{ n, setN }}>{children}</Tally.Provider>;\n}\n",
      'components/Count.jsx':
        "import { useContext } from 'react';\nimport { Tally } from './tally.js';\nexport default function Count() {\n  ¶const tally = useContext(Tally);\n  return <button onClick={() => tally.setN(tally.n + 1)}>{tally.n}</button>;\n}\n",
    }),
    by: [],
  }),
  mended({
    rule: 'change-unseen',
    form: 'the object of a store is changed and given back to it',
    files: project({
      'stores/basket.ts':
        "import { atom } from 'nanostores';\nexport const lines = atom<string[]>([]);\nexport function add(name: string) {\n  const all = lines.get();\n  ¶all.push(name);\n  lines.set(all);\n}\n",
      'pages/index.astro': astro("import Basket from '../components/Basket.jsx';", '<Basket client:load />'),
      'components/Basket.jsx':
        "import { useStore } from '@nanostores/react';\nimport { add, lines } from '../stores/basket';\nexport default function Basket() {\n  const all = useStore(lines);\n  return <button onClick={() => add('oak')}>{all.length}</button>;\n}\n",
    }),
    by: [['all.push(name);\n  lines.set(all);', 'lines.set([...all, name]);']],
  }),
  mended({
    rule: 'store-dead',
    form: 'a store is set by one part and read by none',
    files: project({
      'stores/last.ts': "import { atom } from 'nanostores';\n¶export const last = atom('');\n",
      'pages/index.astro': astro("import Pick from '../components/Pick.jsx';", '<Pick client:load />'),
      'components/Pick.jsx':
        "import { last } from '../stores/last';\nexport default function Pick() {\n  return <button onClick={() => last.set('oak')}>oak</button>;\n}\n",
    }),
    by: [],
  }),
  mended({
    rule: 'two-way-half',
    form: 'a controlled field of an island without a change',
    files: project({
      'pages/index.astro': astro("import Name from '../components/Name.jsx';", '<Name client:load />'),
      'components/Name.jsx':
        "import { useState } from 'react';\nexport default function Name() {\n  const [name, setName] = useState('Wren');\n  return <form><p>{name}</p>\n    ¶<input value={name} />\n    <button type=\"button\" onClick={() => setName('')}>clear</button></form>;\n}\n",
    }),
    by: [['<input value={name} />', '<input value={name} onChange={(event) => setName(event.target.value)} />']],
  }),
  mended({
    rule: 'prop-copied',
    form: 'a part of an island keeps the first value of what it is given',
    files: project({
      'pages/index.astro': astro("import Desk from '../components/Desk.vue';", '<Desk client:load />'),
      'components/Desk.vue':
        '<script setup>\nimport { ref } from "vue";\nimport Edit from "./Edit.vue";\nconst at = ref(0);\nconst notes = ["oak", "elm"];\n</script>\n<template><button @click="at = 1 - at">other</button><Edit :note="notes[at]" /></template>\n',
      'components/Edit.vue':
        '<script setup>\nimport { ref } from "vue";\nconst props = defineProps({ note: String });\n¶const draft = ref(props.note);\n</script>\n<template><input v-model="draft"></template>\n',
    }),
    by: [],
  }),
  mended({
    rule: 'event-never-raised',
    form: 'a part of an island waits for what the child calls otherwise',
    files: project({
      'pages/index.astro': astro("import Desk from '../components/Desk.vue';", '<Desk client:load />'),
      'components/Desk.vue':
        '<script setup>\nimport { ref } from "vue";\nimport Key from "./Key.vue";\nconst open = ref(false);\n</script>\n<template><p>{{ open }}</p><Key\n ¶@unlocked="open = true" /></template>\n',
      'components/Key.vue':
        '<script setup>\nconst emit = defineEmits(["turned"]);\n</script>\n<template><button @click="emit(\'turned\')">turn</button></template>\n',
    }),
    by: [['@unlocked', '@turned']],
  }),
  mended({
    rule: 'subscription-kept',
    form: 'a listener of the window in an effect of an island',
    files: project({
      'pages/index.astro': astro("import Width from '../components/Width.jsx';", '<Width client:load />'),
      'components/Width.jsx':
        "import { useEffect, useState } from 'react';\nimport Inner from './Inner.jsx';\nexport default function Width() {\n  const [on, setOn] = useState(true);\n  return <><button onClick={() => setOn(!on)}>x</button>{on && <Inner />}</>;\n}\n",
      'components/Inner.jsx':
        "import { useEffect, useState } from 'react';\nexport default function Inner() {\n  const [width, setWidth] = useState(0);\n  useEffect(() => {\n    ¶window.addEventListener('resize', () => setWidth(window.innerWidth));\n  }, []);\n  return <b>{width}</b>;\n}\n",
    }),
    by: [],
  }),
  mended({
    rule: 'page-imported',
    form: 'a page of the site is used as a part of another',
    files: project({
      'pages/index.astro': astro("import Lock from './locks/[id].astro';", '<h1>a</h1>\n¶<Lock />'),
      'pages/locks/[id].astro': astro(
        "export function getStaticPaths() { return [{ params: { id: 'a' }, props: { name: 'Weir' } }]; }\nconst { name } = Astro.props;\nconst { id } = Astro.params;",
        '<h2>{id} {name.toUpperCase()}</h2>',
      ),
    }),
    or: ['prop-missing'],
    by: [
      ["import Lock from './locks/[id].astro';", ''],
      ['\n<Lock />', ''],
    ],
  }),
  mended({
    rule: 'prop-carried',
    form: 'a prop goes through a layout and a part to where it is read',
    files: project({
      'pages/index.astro': astro(
        "import Base from '../layouts/Base.astro';\nconst unit = Astro.url.searchParams.get('unit') ?? 'm';",
        '<Base unit={unit}><p>text</p></Base>',
      ),
      'layouts/Base.astro': astro(
        "import Side from '../components/Side.astro';\ninterface Props {\n ¶unit: string;\n}\nconst { unit } = Astro.props;",
        '<html lang="en"><body><Side unit={unit} /><slot /></body></html>',
      ),
      'components/Side.astro': astro(
        "import Depth from './Depth.astro';\ninterface Props { unit: string }\nconst { unit } = Astro.props;",
        '<aside><h2>Depth</h2><Depth unit={unit} /></aside>',
      ),
      'components/Depth.astro': astro('interface Props { unit: string }\nconst { unit } = Astro.props;', '<b>4 {unit}</b>'),
    }),
    by: [],
  }),
  mended({
    rule: 'prop-idle',
    form: 'a prop of Props is never read',
    files: project({
      'pages/index.astro': astro("import Tag from '../components/Tag.astro';", '<Tag name="jib" area={12} /><Tag name="main" area={30} />'),
      'components/Tag.astro': astro(
        'interface Props {\n name: string;\n ¶area: number;\n}\nconst { name } = Astro.props;',
        '<b>{name}</b>',
      ),
    }),
    by: [],
  }),
  mended({
    rule: 'prop-unused',
    form: 'an optional prop that nobody gives',
    files: project({
      'pages/index.astro': astro("import Tag from '../components/Tag.astro';", '<Tag name="jib" /><Tag name="main" />'),
      'components/Tag.astro': astro(
        'interface Props {\n name: string;\n ¶spare?: boolean;\n}\nconst { name, spare = false } = Astro.props;',
        '<b>{name}{spare && " (spare)"}</b>',
      ),
    }),
    by: [['<Tag name="main" />', '<Tag name="main" spare />']],
  }),
  mended({
    rule: 'slot-idle',
    form: 'a named slot that nobody fills',
    files: project({
      'pages/index.astro': astro("import Panel from '../components/Panel.astro';", '<Panel><p>one</p></Panel><Panel><p>two</p></Panel>'),
      'components/Panel.astro': astro('', '<section><slot /><footer>\n¶<slot name="actions" /></footer></section>'),
    }),
    by: [['<p>two</p>', '<p>two</p><button slot="actions">go</button>']],
  }),
  mended({
    rule: 'component-idle',
    form: 'a part that no page shows',
    files: project({
      'pages/index.astro': astro('', '<p>hull</p>'),
      'components/Paint.astro': astro('', '¶<p>paint</p>'),
    }),
    by: [],
  }),
  mended({
    rule: 'wrapper-thin',
    form: 'a part that shows one other and hands all on',
    files: project({
      'pages/index.astro': astro("import Box from '../components/Box.astro';", '<Box name="North" />'),
      'components/Box.astro': astro(
        "import Card from './Card.astro';\ninterface Props { name: string }\nconst { name } = Astro.props;",
        '¶<Card name={name} />',
      ),
      'components/Card.astro': astro('interface Props { name: string }\nconst { name } = Astro.props;', '<h3>{name}</h3>'),
    }),
    by: [],
  }),
  mended({
    rule: 'twins',
    form: 'two parts with one body',
    files: project({
      'pages/index.astro': astro(
        "import BoatTile from '../components/BoatTile.astro';\nimport SparTile from '../components/SparTile.astro';\nconst item = { name: 'Teal', note: 'blue' };",
        '<BoatTile item={item} open /><SparTile item={item} open />',
      ),
      'components/BoatTile.astro': astro(
        '¶interface Props { item: { name: string; note: string }; open?: boolean }\nconst { item, open = false } = Astro.props;',
        '<article class="tile"><header><h3>{item.name}</h3><span class="pill">{item.name.length}</span></header>{open && <p>{item.note}</p>}<footer>boats</footer></article>',
      ),
      'components/SparTile.astro': astro(
        'interface Props { item: { name: string; note: string }; open?: boolean }\nconst { item, open = false } = Astro.props;',
        '<article class="tile"><header><h3>{item.name}</h3><span class="pill">{item.name.length}</span></header>{open && <p>{item.note}</p>}<footer>spars</footer></article>',
      ),
    }),
    by: [],
  }),
  mended({
    rule: 'markup-repeated',
    form: 'one stretch of markup on two pages',
    files: project({
      'pages/index.astro': astro(
        "const boat = { name: 'Teal', note: 'blue', feet: 4 };",
        '<main><h1>Boats</h1><p>All that lie here.</p>\n¶<article class="tile"><header><h3>{boat.name}</h3><span class="pill">{boat.feet} ft</span></header><dl><dt>Note</dt><dd>{boat.note}</dd><dt>Kind</dt><dd>boat</dd></dl></article></main>',
      ),
      'pages/masts.astro': astro(
        "const mast = { name: 'Boom', note: 'ash', feet: 3 };",
        '<section><nav><a href="/">Home</a></nav>\n¶<article class="tile"><header><h3>{mast.name}</h3><span class="pill">{mast.feet} ft</span></header><dl><dt>Note</dt><dd>{mast.note}</dd><dt>Kind</dt><dd>mast</dd></dl></article></section>',
      ),
    }),
    by: [],
  }),
  mended({
    rule: 'two-truths',
    form: 'two islands keep one entry of the storage each for itself',
    files: project({
      'pages/index.astro': astro(
        "import List from '../components/List.jsx';\nimport Count from '../components/Count.svelte';",
        '<Count client:load /><List client:load />',
      ),
      'components/List.jsx':
        "import { useEffect, useState } from 'react';\nexport default function List() {\n  const [saved, setSaved] = useState([]);\n  useEffect(() => { setSaved(JSON.parse(localStorage.getItem('saved-walks') ?? '[]')); }, []);\n  const save = () => { const next = [...saved, 'oak']; setSaved(next); localStorage.setItem('saved-walks', JSON.stringify(next)); };\n  return <><button onClick={save}>save</button>{saved.map((one, at) => <p key={one}>{one}</p>)}</>;\n}\n",
      'components/Count.svelte':
        "<script>\n  import { onMount } from 'svelte';\n  let saved = $state([]);\n  onMount(() => {\n    ¶saved = JSON.parse(localStorage.getItem('saved-walks') ?? '[]');\n  });\n</script>\n<p>{saved.length} saved</p>\n",
    }),
    by: [],
  }),
  mended({
    rule: 'flags-many',
    form: 'four flags in three ways',
    files: project({
      'pages/index.astro': astro(
        "import Card from '../components/Card.astro';",
        '<Card text="a" withIcon withFoot /><Card text="b" withIcon withFoot /><Card text="c" withBadge /><Card text="d" withBadge withHint />',
      ),
      'components/Card.astro': astro(
        'interface Props { text: string; withIcon?: boolean; withFoot?: boolean; withBadge?: boolean; withHint?: boolean }\n¶const { text, withIcon, withFoot, withBadge, withHint } = Astro.props;',
        '{withIcon && <i>*</i>}<b>{text}</b>{withBadge && <em>new</em>}{withHint && <small>hint</small>}{withFoot && <footer>foot</footer>}',
      ),
    }),
    by: [],
  }),
  mended({
    rule: 'stale-reading',
    form: 'an effect of an island leaves out what it reads',
    files: project({
      'pages/index.astro': astro("import Find from '../components/Find.jsx';", '<Find client:load />'),
      'components/Find.jsx':
        "import { useEffect, useState } from 'react';\nexport default function Find() {\n  const [word, setWord] = useState('');\n  const [found, setFound] = useState([]);\n  useEffect(() => {\n    ¶fetch(`/api/find?word=${word}`).then((answer) => answer.json()).then(setFound);\n  }, []);\n  return <><input value={word} onChange={(event) => setWord(event.target.value)} />{found.length}</>;\n}\n",
    }),
    by: [['}, []);', '}, [word]);']],
  }),
  mended({
    rule: 'derived-twice',
    form: 'one sum of one store in two islands',
    files: project({
      'stores/basket.ts':
        "import { atom } from 'nanostores';\nexport const lines = atom([{ price: 2, count: 3 }]);\nexport const add = () => lines.set([...lines.get(), { price: 1, count: 1 }]);\n",
      'pages/index.astro': astro(
        "import Head from '../components/Head.jsx';\nimport Foot from '../components/Foot.jsx';",
        '<Head client:load /><Foot client:load />',
      ),
      'components/Head.jsx':
        "import { useStore } from '@nanostores/react';\nimport { lines } from '../stores/basket';\nexport default function Head() {\n  const all = useStore(lines);\n  ¶const total = all.reduce((sum, line) => sum + line.price * line.count, 0);\n  return <h1>{total}</h1>;\n}\n",
      'components/Foot.jsx':
        "import { useStore } from '@nanostores/react';\nimport { add, lines } from '../stores/basket';\nexport default function Foot() {\n  const rows = useStore(lines);\n  ¶const sum = rows.reduce((sum, line) => sum + line.price * line.count, 0);\n  return <button onClick={add}>{sum}</button>;\n}\n",
    }),
    by: [],
  }),

  mended({
    rule: 'prop-missing',
    form: 'a prop without a declaration is read as a list, and one use leaves it out',
    files: project({
      'pages/index.astro': astro(
        "import Tags from '../components/Tags.astro';",
        "<Tags all={['oak']} />\n<hr>\n<hr>\n<hr>\n<main>\n¶<Tags /></main>",
      ),
      'components/Tags.astro': astro('const { all } = Astro.props;', '<ul>{all.map((one) => <li>{one}</li>)}</ul>'),
    }),
    by: [['<main>\n<Tags />', "<main>\n<Tags all={['elm']} />"]],
  }),
  mended({
    rule: 'layer-crossed',
    form: 'a function of the top is a handler of an element',
    files: project({
      'pages/index.astro': astro('const go = () => { console.log("go"); };', '<p>a</p>\n¶<button onclick={go}>go</button>'),
    }),
    or: ['handler-missing'],
    by: [['<button onclick={go}>go</button>', '<button>go</button>']],
  }),
  mended({
    rule: 'context-missing',
    form: 'a Vue part injects what another started part provides',
    files: project({
      'pages/index.astro': astro(
        "import Zone from '../components/Zone.vue';\nimport Count from '../components/Count.vue';",
        '<Zone client:load><Count client:load /></Zone>',
      ),
      'components/Zone.vue':
        '<script setup>\nimport { provide, ref } from "vue";\nprovide("tally", ref(1));\n</script>\n<template><section><slot /></section></template>\n',
      'components/Count.vue':
        '<script setup>\nimport { inject } from "vue";\n¶const tally = inject("tally");\n</script>\n<template><b>{{ tally.value.toFixed(1) }}</b></template>\n',
    }),
    by: [],
  }),
  mended({
    rule: 'channel-unpaired',
    form: 'a part sends an event of the window that the script of a layout calls otherwise',
    files: project({
      'pages/index.astro': astro(
        "import Base from '../layouts/Base.astro';\nimport Switch from '../components/Switch.svelte';",
        '<Base><Switch client:idle /></Base>',
      ),
      'layouts/Base.astro': astro(
        '',
        '<html lang="en"><body><slot /><script>\n  window.addEventListener("theme-change", (event) => { document.documentElement.dataset.theme = (event as CustomEvent).detail; });\n</script></body></html>',
      ),
      'components/Switch.svelte':
        '<script>\n  let dark = $state(false);\n  function flip() {\n    dark = !dark;\n    ¶window.dispatchEvent(new CustomEvent("themechange", { detail: dark ? "dark" : "light" }));\n  }\n</script>\n<button onclick={flip}>{dark}</button>\n',
    }),
    by: [['"themechange"', '"theme-change"']],
  }),
  mended({
    rule: 'name-unknown',
    form: 'a script asks for an id that the markup writes otherwise',
    files: project({
      'pages/index.astro': astro(
        '',
        '<dialog id="main-menu">menu</dialog><button id="open">open</button>\n<script>\n  const button = document.getElementById("open")!;\n  ¶const menu = document.getElementById("menu") as HTMLDialogElement;\n  button.addEventListener("click", () => menu.showModal());\n</script>',
      ),
    }),
    by: [['getElementById("menu")', 'getElementById("main-menu")']],
  }),
  mended({
    rule: 'slot-nowhere',
    form: 'named content for a React part that takes it by another name',
    files: project({
      'pages/index.astro': astro("import Card from '../components/Card.jsx';", '<Card client:load>\n ¶<h2 slot="title">Weir</h2>\n</Card>'),
      'components/Card.jsx':
        "import { useState } from 'react';\nexport default function Card({ heading, children }) {\n  const [open, setOpen] = useState(false);\n  return <section onClick={() => setOpen(!open)}>{heading}{open && children}</section>;\n}\n",
    }),
    or: ['prop-unknown'],
    by: [['slot="title"', 'slot="heading"']],
  }),
  mended({
    rule: 'two-way-half',
    form: 'a Svelte part binds what the other does not offer for it',
    files: project({
      'pages/index.astro': astro("import Desk from '../components/Desk.svelte';", '<Desk client:load />'),
      'components/Desk.svelte':
        '<script>\n  import Field from "./Field.svelte";\n  let name = $state("Wren");\n</script>\n<p>{name}</p>\n¶<Field bind:value={name} />\n',
      'components/Field.svelte':
        '<script>\n  let { value } = $props();\n</script>\n<input value={value} oninput={(event) => (value = event.target.value)}>\n',
    }),
    by: [['let { value } = $props();', 'let { value = $bindable() } = $props();']],
  }),
  mended({
    rule: 'store-dead',
    form: 'a store is read by one part and set by none',
    files: project({
      'stores/level.ts': "import { map } from 'nanostores';\n¶export const level = map({ upper: 2 });\n",
      'pages/index.astro': astro("import Show from '../components/Show.jsx';", '<Show client:load />'),
      'components/Show.jsx':
        "import { useStore } from '@nanostores/react';\nimport { level } from '../stores/level';\nexport default function Show() {\n  const { upper } = useStore(level);\n  return <b>{upper}</b>;\n}\n",
    }),
    by: [],
    missed: true,
  }),
  mended({
    rule: 'prop-spelt',
    form: 'a prop of a layout with two letters in each other’s place',
    files: project({
      'pages/index.astro': astro("import Base from '../layouts/Base.astro';", '<Base\n ¶titel="Weir"><p>text</p></Base>'),
      'layouts/Base.astro': astro(
        'interface Props { title: string }\nconst { title } = Astro.props;',
        '<html lang="en"><head><title>{title}</title></head><body><slot /></body></html>',
      ),
    }),
    or: ['prop-missing', 'prop-unknown'],
    by: [['titel', 'title']],
  }),
  mended({
    rule: 'prop-unused',
    form: 'all uses give the same constant',
    files: project({
      'pages/index.astro': astro(
        "import Tag from '../components/Tag.astro';",
        '<Tag name="a" unit="m" /><Tag name="b" unit="m" /><Tag name="c" unit="m" />',
      ),
      'components/Tag.astro': astro(
        'interface Props {\n name: string;\n ¶unit: string;\n}\nconst { name, unit } = Astro.props;',
        '<b>{name} {unit}</b>',
      ),
    }),
    by: [['name="c" unit="m"', 'name="c" unit="ft"']],
  }),
  mended({
    rule: 'event-unheard',
    form: 'a button of a part in an island only raises what nobody hears',
    files: project({
      'pages/index.astro': astro("import Desk from '../components/Desk.vue';", '<Desk client:load />'),
      'components/Desk.vue':
        '<script setup>\nimport { ref } from "vue";\nimport Line from "./Line.vue";\nconst gone = ref(0);\n</script>\n<template><p>{{ gone }}</p><Line @drop="gone++" />\n<hr>\n<Line /></template>\n',
      'components/Line.vue':
        '<script setup>\nconst emit = defineEmits(["drop"]);\n</script>\n<template><p>line</p>\n¶<button @click="emit(\'drop\')">drop</button></template>\n',
    }),
    by: [['<hr>\n<Line />', '<hr>\n<Line @drop="gone++" />']],
  }),
  mended({
    rule: 'change-unseen',
    form: 'a plain variable of a Svelte part is shown and written',
    files: project({
      'pages/index.astro': astro("import Count from '../components/Count.svelte';", '<Count client:load />'),
      'components/Count.svelte':
        '<script>\n  let { step = 1 } = $props();\n  let n = 0;\n  function add() {\n    ¶n += step;\n  }\n</script>\n<button onclick={add}>{n}</button>\n',
    }),
    by: [['let n = 0;', 'let n = $state(0);']],
  }),
  mended({
    rule: 'list-unkeyed',
    form: 'rows of an island that keep a state have their position as key, and the list grows at its front',
    files: project({
      'pages/index.astro': astro("import List from '../components/List.jsx';", '<List client:load />'),
      'components/List.jsx':
        "import { useState } from 'react';\nimport Row from './Row.jsx';\nexport default function List() {\n  const [rows, setRows] = useState(['cod']);\n  return <><button onClick={() => setRows(['ling', ...rows])}>add</button>{rows.map((name, at) => (\n    ¶<Row key={at} name={name} />\n  ))}</>;\n}\n",
      'components/Row.jsx':
        "import { useState } from 'react';\nexport default function Row({ name }) {\n  const [open, setOpen] = useState(false);\n  return <button onClick={() => setOpen(!open)}>{name}{open ? ' more' : ''}</button>;\n}\n",
    }),
    by: [['key={at}', 'key={name}']],
  }),
];
