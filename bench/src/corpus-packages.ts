import { execFileSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

/**
 * Packages that ship source, with the folder it stands in. These and no others, so that figures
 * compare over time. Paths of `unseen` are thrown away when a package is fetched: nobody tunes Liana to them.
 */
export const packages: readonly { readonly name: string; readonly folder?: string; readonly unseen?: RegExp }[] = [
  { name: '@docusaurus/theme-classic@3.10.2' },
  { name: '@wordpress/components@41.0.0' },
  { name: '@wordpress/block-editor@18.0.0', folder: 'src' },
  { name: '@wordpress/block-library@11.1.0', folder: 'src' },
  { name: '@wordpress/editor@15.0.0', folder: 'src' },
  { name: '@nuxt/ui@4.11.2', folder: 'dist/runtime' },
  { name: 'vitepress@1.6.4', folder: 'dist/client' },
  { name: 'create-vue@3.24.0', folder: 'template/code' },
  { name: '@vuepress/theme-default@1.9.10' },
  { name: '@gradio/chatbot@0.28.0', folder: 'shared' },
  { name: 'flowbite-svelte@1.33.1', folder: 'dist' },
  { name: 'svelte-ux@1.0.11', folder: 'dist' },
  { name: '@skeletonlabs/skeleton-svelte@5.0.1', folder: 'dist' },
  { name: 'ra-ui-materialui@5.15.4', folder: 'src' },
  { name: 'primevue@5.0.2' },
  { name: 'carbon-components-svelte@0.112.1', folder: 'src' },
  { name: 'bits-ui@2.21.0', folder: 'dist' },
  // Custom elements and Lightning web components.
  { name: '@design.estate/dees-catalog@15.0.1', folder: 'ts_web' },
  { name: '@material/web@2.5.0' },
  { name: '@lion/ui@0.21.1' },
  { name: 'lightning-base-components@1.28.15-alpha', folder: 'src', unseen: /^src\/lightning\/[^a-m]/ },
  // Applications.
  { name: '@medusajs/dashboard@2.21.2', folder: 'src' },
  { name: '@salesforce/retail-react-app@10.2.1' },
  { name: 'strapi-admin@3.1.4' },
  { name: '@vendure/dashboard@3.7.3' },
  { name: '@wordpress/edit-site@7.5.0' },
  { name: 'decap-cms-core@3.19.1' },
  { name: '@openmrs/esm-appointments-app@11.1.0' },
  { name: 'create-next-app@16.4.3', folder: 'dist/templates/app/ts' },
  { name: 'docus@5.12.3' },
  { name: 'shadcn-docs-nuxt@1.2.2' },
  { name: '@nuxt/content-theme-docs@0.11.1' },
  { name: '@slidev/client@52.20.1' },
  { name: '@drax/dashboard-vue@3.60.0' },
  { name: 'valaxy@0.28.0' },
  { name: '@shopware/cms-base-layer@4.0.0' },
  { name: 'create-vite@9.3.0' },
  { name: '@gradio/core@1.12.0' },
  { name: '@humandialog/forms.svelte@1.8.28' },
  // Angular, newer and older.
  { name: '@c8y/tutorial@1024.18.1', folder: 'src' },
  { name: 'ng2-admin@0.7.0' },
  { name: 'black-dashboard-angular@1.0.0' },
  // Pages of a server with parts of others in them.
  { name: '@astrojs/starlight@0.42.4', folder: 'dist' },
  { name: 'astro-accelerator@7.1.22' },
  { name: 'starlight-openapi@0.22.1' },
  // Read for the first time after all others had been tuned to.
  { name: '@oruga-ui/oruga-next@0.13.5', folder: 'src' },
  { name: 'svelte-jsoneditor@3.13.0', folder: 'components' },
  { name: 'agnostic-svelte@1.1.27', folder: 'components' },
  { name: 'accessible-astro-components@5.8.0' },
  { name: '@medusajs/admin-ui@2.1.18', folder: 'ui/src' },
  { name: '@patternfly/elements@5.0.0' },
  { name: '@haxtheweb/hax-body@10.0.2' },
];

const corpus = fileURLToPath(new URL('../.corpus', import.meta.url));

/** Fetches a package from the registry, once; its folder. */
export function fetched(name: string): string {
  const folder = path.join(corpus, name.replace(/[@/]/g, '_'));
  if (existsSync(folder)) return folder;
  mkdirSync(corpus, { recursive: true });
  const [packed] = JSON.parse(
    execFileSync('npm', ['pack', name, '--json', '--pack-destination', corpus], {
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'ignore'],
      maxBuffer: 64_000_000,
    }),
  ) as { filename: string }[];
  const archive = path.join(corpus, packed?.filename ?? '');
  const unpacked = `${folder}.part`;
  mkdirSync(unpacked, { recursive: true });
  execFileSync('tar', ['xzf', archive, '-C', unpacked, '--strip-components=1']);
  rmSync(archive);
  const unseen = packages.find((one) => one.name === name)?.unseen;
  if (unseen)
    for (const one of readdirSync(unpacked, { recursive: true, encoding: 'utf8' }))
      if (unseen.test(one)) rmSync(path.join(unpacked, one), { recursive: true, force: true });
  renameSync(unpacked, folder);
  return folder;
}
