# frozen_string_literal: true

# Which taps kept a way, so that one sent twice is kept once.
Sequel.migration do
  change { create_table(:way_taps) { uuid :client_key, primary_key: true } }
end
