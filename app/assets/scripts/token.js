// The token that every form and every request of this page carries.
export const token = () => document.querySelector('meta[name="csrf-token"]').content;
