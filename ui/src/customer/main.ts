// The pages that customers open without an account: the record behind a link, and whether a record is untouched.
import '../lib/base.css';
import { mount } from 'svelte';
import Customer from './Customer.svelte';

const target = document.getElementById('app');
if (target) mount(Customer, { target });
