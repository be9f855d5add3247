import './lib/base.css';
import { mount } from 'svelte';
import App from './App.svelte';
import { workOffline } from './lib/offline';

const target = document.getElementById('app');
if (target) mount(App, { target });
workOffline();
