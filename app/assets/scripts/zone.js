// Where this device is stands first among the time zones, and goes with a new account.
const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;

document.querySelectorAll("[data-zone]").forEach((field) => (field.value = zone ?? ""));
document.querySelectorAll("[data-zones]").forEach((select) => {
  const here = [...select.options].find((option) => option.value === zone);
  if (!here || here.selected) return;
  select.prepend(new Option(`${here.text}, as this device has it`, zone));
});
