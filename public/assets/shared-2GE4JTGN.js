var e=()=>document.querySelector('meta[name="csrf-token"]').content;export{e as a};
