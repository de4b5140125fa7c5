document.addEventListener("htmx:afterSwap",()=>{let e=document.querySelector("#job [data-opens]");e&&window.location.assign(e.href)});
