import { beforeAll, describe, expect, test } from 'vitest';
import { parts } from '../../../../testing/src/parts';
import { analyseFiles, type Files } from '../../../../testing/src/project';
import { spotNamed, traceLines, waysOf } from '../../../../testing/src/trace';
import { type Question, traceOf } from '../../flow';
import { loadCompilers } from '../registry';

beforeAll(() => loadCompilers([{ file: 'src/app.ts', text: "from '@angular/core'" }]));

const forms =
  "import { FormBuilder, FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';\nimport { inject } from '@angular/core';";

const form = (js: string, template: string): Files => parts({ App: { uses: ['ReactiveFormsModule'], head: forms, js, template } });

const traced = (files: Files, of: string, ask: Question): string[] => {
  const ways = waysOf(files);
  return traceLines(traceOf(ways, spotNamed(ways, of), ask));
};

describe('controls of forms', () => {
  const cases: readonly [name: string, files: Files, of: string, ask: Question, rungs: readonly string[]][] = [
    [
      'a field that is bound to one changes it, and so does what sets it',
      form(
        "  search = new FormControl('');\n  clear() { this.search.setValue(''); }",
        '<input [formControl]="search" /><b (click)="clear()"></b>',
      ),
      'App.search',
      'changes',
      [
        'App owns search',
        '  App changes search',
        '  App starts input | platform input',
        'App changes search',
        'App catches clear',
        'App calls clear',
        'App starts click | platform b',
      ],
    ],
    [
      'a field that names a part of the form around it',
      form(
        "  form = inject(FormBuilder).group({ name: ['', Validators.required] });",
        '<form [formGroup]="form"><input formControlName="name" /></form>',
      ),
      'App.form',
      'changes',
      ['App owns form', 'App changes form', 'App starts input | platform input'],
    ],
    [
      'one that is made later, by a part of it',
      form(
        "  form!: FormGroup;\n  ngOnInit() { this.form = new FormGroup({ name: new FormControl('') }); }\n  fill() { this.form.controls['name'].setValue('x'); }",
        '<form [formGroup]="form"><b (click)="fill()">{{ form.value.name }}</b></form>',
      ),
      'App.form',
      'changes',
      [
        'App owns form',
        '  App changes form',
        '  App starts ngOnInit | platform by the framework',
        'App changes form',
        'App catches fill',
        'App calls fill',
        'App starts click | platform b',
      ],
    ],
    [
      'what it is made with',
      form('  start = 3;\n  form = new FormGroup({ km: new FormControl(this.start, Validators.required) });', '<b>{{ form.value.km }}</b>'),
      'App.form',
      'comes',
      ['App owns form', 'App starts start', 'App owns start | constant'],
    ],
    [
      'what follows its values',
      form(
        "  search = new FormControl('');\n  found = this.search.valueChanges;",
        '<input [formControl]="search" /><b>{{ search.value }}</b>',
      ),
      'App.search',
      'goes',
      ['App owns search', '  App paints search | painted', '  App paints search | painted', 'App starts found'],
    ],
    [
      'a name in no form is told of none',
      form("  form = new FormGroup({ name: new FormControl('') });", '<input formControlName="name" /><b>{{ form.value.name }}</b>'),
      'App.form',
      'changes',
      ['App owns form', 'App owns form | constant'],
    ],
    [
      'a component that stands for a field is set by its form',
      parts({
        App: {
          head: "import { NG_VALUE_ACCESSOR } from '@angular/forms';",
          options: 'providers: [{ provide: NG_VALUE_ACCESSOR, useExisting: App, multi: true }]',
          js: '  value = 0;\n  writeValue(value: number) { this.value = value; }\n  registerOnChange(fn: () => void) {}',
          template: '<b>{{ value }}</b>',
        },
      }),
      'App.value',
      'changes',
      ['App owns value', 'App changes value', 'App starts writeValue | platform when its form sets a value'],
    ],
  ];
  test.each(cases)('%s', (_, files, of, ask, rungs) => {
    expect(traced(files, of, ask)).toEqual(rungs);
  });

  test('nothing is found in a sound one', () => {
    const sound = form(
      "  form = inject(FormBuilder).group({ name: [''] });\n  save() { console.log(this.form.getRawValue()); }\n  clear() { this.form.reset(); }",
      '<form [formGroup]="form" (ngSubmit)="save()"><input formControlName="name" /><button type="button" (click)="clear()">{{ form.value.name }}</button></form>',
    );
    expect(analyseFiles(sound).findings.map(({ rule, subject }) => `${rule} ${subject}`)).toEqual([]);
  });
});
