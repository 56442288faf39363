# frozen_string_literal: true

# Puma's settings: one process, this machine only.
require_relative "boot"

bind "tcp://#{App::Settings::HOST}:#{App::Settings.port}"
# more than anybody works at once: a client that does not read its answer holds one up, not all of them
threads 1, 16
# nothing larger is taken in at all, declared or in chunks; what each address takes is up to BodyLimit
http_content_length_limit App::BodyLimit::ARCHIVE_BYTES
environment "production"
quiet
