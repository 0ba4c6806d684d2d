import { mount } from 'svelte';
import App from './App.svelte';
import './towpath.css';

mount(App, { target: document.getElementById('root')! });
